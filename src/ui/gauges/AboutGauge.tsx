import type { AnyGauge } from '@/core/gauges/reckon';
import { Words } from '../parts/Words';
import styles from './gauge.module.css';

/** What is computed, by which formula and from which source; folded away. */
export function AboutGauge({ gauge }: { gauge: AnyGauge }) {
  return (
    <details className={styles.about}>
      <summary>How it is reckoned, and from which source</summary>
      <ul>
        {gauge.formulas.map((f) => (
          <li key={f.text}>
            <Words>
              {f.text}{' '}
              <Words as="span" tone="soft">
                {f.source}
              </Words>
            </Words>
          </li>
        ))}
      </ul>
      <Words tone="soft">Method {gauge.version}.</Words>
    </details>
  );
}

import styles from './takeIn.module.css';

/**
 * Every kind of machine in a few lines, drawn from what tells it apart at the counter: where the motor sits, what turns the
 * roll, what it stands on. 48 × 48, the floor at 44.
 */
const DRAWINGS: Record<string, string> = {
  'upright-shaft-belt':
    'M34 3l-6 18M24 21h9l-2 14h-9zM8 44h26l-2-9H10zM29 39a3 3 0 1 0 .1 0M13 37a4 4 0 1 0 .1 0M13 37l16 2M13 45l16-1',
  'upright-brush-motor': 'M36 3l-5 16M27 19h9l-2 15h-9zM8 44h28l-2-10H10zM21 36h9v6h-9zM14 36a4 4 0 1 0 .1 0',
  'upright-clutch':
    'M36 3l-6 16M26 18h10l-2 13h-10zM8 44h28l-2-11H10zM33 36a2.5 2.5 0 1 0 .1 0M23 37a3 3 0 1 0 .1 0M13 37a4 4 0 1 0 .1 0M33 36l-10 1M23 43l-10 2',
  'upright-direct-air':
    'M34 3l-5 15M24 18c8-4 12 0 10 7l-4 10h-8zM6 44h22l-2-8H9zM30 40a3 3 0 1 0 .1 0M27 38l6 4M33 38l-6 4',
  'upright-self-propelled':
    'M38 3l-7 14M24 16c10-3 15 2 12 9l-5 10H20zM6 44h30l-2-9H8zM36 44a5 5 0 1 0-.1 0M30 30l5-3-1 6',
  'upright-auto':
    'M33 3v12M27 15h11v19H27zM30 20h5M30 24h5M6 44h34l-2-10H8zM12 37a4 4 0 1 0 .1 0M33 37a3 3 0 1 0 .1 0M16 38l14 1M16 43l14 0',
  'canister-power-nozzle':
    'M4 44h17l-2-6H7zM14 38l12-26c3-6 9-5 10 1M26 31c0-6 4-8 9-8s9 3 9 8v9H26zM30 44a3 3 0 1 0 .1-.1M41 44a3 3 0 1 0 .1-.1M9 40h7',
  'central-turbine-brush':
    'M36 4h8v12h-8zM40 10c-12 0-6 20-18 22M6 44h22l-3-11H9zM17 38a4 4 0 1 0 .1 0M17 34v8M13 38h8',
  'stick-cordless': 'M35 4a5 5 0 1 0 .1 0M38 12l-8 4-4-6 6-5M29 17L16 37M6 44h20l-2-7H9zM39 13l4 6-4 3-3-5',
  'handheld-mains': 'M8 30l6-12h18c8 0 10 6 8 12l-4 5H12zM18 18c0-6 12-6 14 0M8 30l-3 8h9M40 28c6 2 2 10 6 14',
  'scrubber-walk-behind':
    'M10 18h22l4 14H8zM32 18l10-8M8 32h26v5H8zM6 44h18l-2-7H8zM34 37l10 7M38 44h8M28 44a3 3 0 1 0 .1-.1',
  'scrubber-ride-on':
    'M6 24h36v14H6zM26 24v-9h8M16 24l-3-10M9 13h8M12 44a4 4 0 1 0 .1-.1M36 44a4 4 0 1 0 .1-.1M18 38h12v5H18z',
  'upright-bagged-brush-gear':
    'M34 3v10M28 13h11l1 21H27zM29 18h9M6 44h32l-2-10H8zM13 36a4 4 0 1 0 .1 0M25 37a3 3 0 1 0 .1 0M20 38h2M20 41h2',
  backpack: 'M19 6a5 5 0 1 0 .1 0M12 18h14v16H12zM27 15h9v20h-9zM31 15c6-8 12 4 8 12M14 34v10M24 34v10M39 27l-5 17',
  'wet-dry-tub':
    'M14 14h20l-2-8H16zM11 14h26l-2 24H13zM17 42a2 2 0 1 0 .1 0M31 42a2 2 0 1 0 .1 0M37 22c8 0 2 14 8 20M24 22v7M21 29h6',
  'carpet-extractor':
    'M36 3l-5 14M24 16h14l-3 17H20zM23 24h13M8 44h26l-3-11H12zM8 44l-3-4M11 41l-4-4M20 37a3 3 0 1 0 .1 0',
  robot: 'M24 8a17 17 0 1 0 .1 0M12 14h24M24 20a5 5 0 1 0 .1 0M9 34l-5 6M5 36l3 4M14 27h-3v6h3M34 27h3v6h-3',
};

/** A kind of machine as it is seen at the counter. */
export function KindPicture({ kind, size = 44 }: { kind: string; size?: number }) {
  return (
    <svg viewBox="0 0 48 48" width={size} height={size} aria-hidden className={styles.picture}>
      <path d={DRAWINGS[kind]} strokeLinejoin="round" strokeLinecap="round" />
    </svg>
  );
}

/** Kinds that have a picture. */
export const drawnKinds = Object.keys(DRAWINGS);

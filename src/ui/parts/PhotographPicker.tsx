'use client';

import { useRef, useState } from 'react';
import { sendPhotograph } from './post';
import { photographUrl } from './photographUrl';
import { Press } from './Press';
import { Words } from './Words';
import styles from './pictures.module.css';

interface Props {
  photographs: number[];
  onAdd: (id: number) => void;
  onDrop?: (id: number) => void;
  label?: string;
}

/** Takes photographs with a phone's camera or from files; each is kept on the server at once. */
export function PhotographPicker({ photographs, onAdd, onDrop, label = 'Photograph' }: Props) {
  const input = useRef<HTMLInputElement>(null);
  const [busy, setBusy] = useState(0);
  const [trouble, setTrouble] = useState<string | null>(null);
  const take = async (files: FileList | null) => {
    setTrouble(null);
    const list = [...(files ?? [])];
    setBusy(list.length);
    for (const file of list) {
      const sent = await sendPhotograph(file);
      setBusy((n) => n - 1);
      if (sent.ok) onAdd(sent.value.id);
      else setTrouble(`${file.name}: ${sent.refusal.fields[0]?.message ?? sent.refusal.title}`);
    }
    if (input.current) input.current.value = '';
  };
  return (
    <div>
      <div className={styles.row}>
        <input
          ref={input}
          type="file"
          accept="image/*"
          capture="environment"
          multiple
          hidden
          aria-label={label}
          onChange={(e) => void take(e.target.files)}
        />
        <Press small onClick={() => input.current?.click()} disabled={busy > 0}>
          {busy > 0 ? `Keeping ${busy} …` : label}
        </Press>
        {photographs.map((id, i) => (
          <div key={id} className={styles.picture}>
            {/* eslint-disable-next-line @next/next/no-img-element -- already small, behind the sign-in */}
            <img src={photographUrl(id, true)} alt={`Photograph ${i + 1}`} height={56} />
            {onDrop && (
              <Press
                small
                aria-label={`Leave photograph ${i + 1} out`}
                onClick={() => onDrop(id)}
                className={styles.out}
              >
                ×
              </Press>
            )}
          </div>
        ))}
      </div>
      {trouble && (
        <Words role="alert" className={styles.trouble}>
          {trouble}
        </Words>
      )}
    </div>
  );
}

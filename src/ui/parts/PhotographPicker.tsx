'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useRef, useState } from 'react';
import { sendPhotograph } from './post';
import { photographUrl } from './photographUrl';

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
    <Box>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
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
        <Button size="small" onClick={() => input.current?.click()} disabled={busy > 0}>
          {busy > 0 ? `Keeping ${busy} …` : label}
        </Button>
        {photographs.map((id, i) => (
          <Box key={id} sx={{ position: 'relative', lineHeight: 0 }}>
            {/* eslint-disable-next-line @next/next/no-img-element -- already small, behind the sign-in */}
            <img src={photographUrl(id, true)} alt={`Photograph ${i + 1}`} height={56} />
            {onDrop && (
              <Button
                size="small"
                aria-label={`Leave photograph ${i + 1} out`}
                onClick={() => onDrop(id)}
                sx={{ position: 'absolute', right: 0, top: 0, minWidth: 28, minHeight: 28, p: 0, lineHeight: 1 }}
              >
                ×
              </Button>
            )}
          </Box>
        ))}
      </Box>
      {trouble && (
        <Typography variant="body2" role="alert" sx={{ color: 'error.main', mt: 0.5 }}>
          {trouble}
        </Typography>
      )}
    </Box>
  );
}

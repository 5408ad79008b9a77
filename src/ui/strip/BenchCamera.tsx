'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState } from 'react';

interface Props {
  /** What is photographed. */
  title: string;
  onTake: (picture: Blob) => void;
  onClose: () => void;
  /** No camera answers: a file is chosen instead. */
  onFile: () => void;
}

/** The camera over the bench: what it sees, and one key that keeps it. */
export function BenchCamera({ title, onTake, onClose, onFile }: Props) {
  const video = useRef<HTMLVideoElement>(null);
  const [state, setState] = useState<'asking' | 'sees' | 'none'>('asking');
  useEffect(() => {
    let stream: MediaStream | null = null;
    let over = false;
    const end = () => stream?.getTracks().forEach((track) => track.stop());
    void (async () => {
      try {
        stream = await navigator.mediaDevices.getUserMedia({ video: { width: { ideal: 1920 } }, audio: false });
      } catch {
        // Refused, or there is none: said in the dialog, with the way by a file.
        return setState('none');
      }
      if (over) return end();
      video.current!.srcObject = stream;
    })();
    return () => {
      over = true;
      end();
    };
  }, []);
  const take = () => {
    const seen = video.current;
    if (state !== 'sees' || !seen || seen.videoWidth === 0) return;
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [seen.videoWidth, seen.videoHeight];
    canvas.getContext('2d')!.drawImage(seen, 0, 0);
    canvas.toBlob((picture) => picture && onTake(picture), 'image/jpeg', 0.9);
  };
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-label={`Photograph: ${title}`}>
      <Box sx={{ p: 1.5, display: 'grid', gap: 1 }}>
        <Typography component="h2" variant="h3">
          {title}
        </Typography>
        {state === 'none' ? (
          <Typography variant="body2" role="alert">
            No camera answers here. Take the picture with a phone, or choose a file.
          </Typography>
        ) : (
          <video
            ref={video}
            // A picture can be kept once there is one, not when the camera was granted.
            onLoadedData={() => setState('sees')}
            autoPlay
            muted
            playsInline
            style={{ width: '100%', maxHeight: '62vh', background: '#000' }}
          />
        )}
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          {state !== 'none' && (
            <Button variant="contained" autoFocus disabled={state !== 'sees'} onClick={take} sx={{ minHeight: 52 }}>
              Keep it
            </Button>
          )}
          <Button onClick={onFile} sx={{ minHeight: 52 }}>
            A file, or the phone’s camera
          </Button>
          <Button variant="text" color="inherit" onClick={onClose} sx={{ minHeight: 52 }}>
            Leave it
          </Button>
        </Box>
      </Box>
    </Dialog>
  );
}

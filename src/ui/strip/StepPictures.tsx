import Box from '@mui/material/Box';
import { photographUrl } from '../parts/photographUrl';
import type { StepPicture } from './stepPictures';

/** The photographs of a step, each leading to its large picture. */
export function StepPictures({ pictures, label }: { pictures: readonly StepPicture[]; label: string }) {
  if (pictures.length === 0) return null;
  return (
    <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
      {pictures.map(({ id, of }) => (
        <Box component="figure" key={id} sx={{ m: 0 }}>
          <a href={photographUrl(id)} target="_blank" rel="noreferrer">
            {/* eslint-disable-next-line @next/next/no-img-element -- already small, behind the sign-in */}
            <img src={photographUrl(id, true)} alt={`As it was: ${label}`} height={120} style={{ display: 'block' }} />
          </a>
          <Box component="figcaption" sx={{ fontSize: '0.8rem', color: 'text.secondary' }}>
            {of}
          </Box>
        </Box>
      ))}
    </Box>
  );
}

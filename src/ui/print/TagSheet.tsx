'use client';

import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useState } from 'react';
import type { TagView } from '@/shop/codes/dto';
import { fonts } from '../theme/palette';
import { Code, PrintFrame } from './PrintFrame';

/** The tag on a machine: for a label printer, or on office paper to cut out. */
export function TagSheet({ tag }: { tag: TagView }) {
  const [label, setLabel] = useState(true);
  return (
    <PrintFrame
      size={label ? '62mm 29mm' : tag.paper}
      margin={label ? '0' : '15mm'}
      back={{ href: `/machines/${tag.tag}`, label: 'Back to the machine' }}
      choices={
        <ToggleButtonGroup
          exclusive
          size="small"
          aria-label="Paper"
          value={label ? 'label' : 'sheet'}
          onChange={(_, value: string | null) => value && setLabel(value === 'label')}
        >
          <ToggleButton value="label">label printer, 62 × 29 mm</ToggleButton>
          <ToggleButton value="sheet">{tag.paper}, to cut out</ToggleButton>
        </ToggleButtonGroup>
      }
    >
      <Box
        component="article"
        aria-label={`Tag ${tag.tag}`}
        sx={{
          width: '62mm',
          height: '29mm',
          p: '1.6mm 2mm',
          bgcolor: '#fff',
          color: '#000',
          overflow: 'hidden',
          display: 'grid',
          gridTemplateColumns: '1fr 15.5mm',
          gridTemplateRows: 'auto 1fr auto',
          columnGap: '2mm',
          outline: '1px dashed #999',
          '@media print': { outline: label ? 'none' : '1px dashed #999' },
          fontFamily: fonts.label,
          lineHeight: 1.1,
          fontSize: '7.6pt',
        }}
      >
        <Box sx={{ minWidth: 0 }}>
          <Box
            component="h1"
            sx={{ m: 0, fontFamily: fonts.reading, fontWeight: 700, fontSize: '15pt', lineHeight: 1.1 }}
          >
            {tag.tag}
          </Box>
          <Box sx={{ fontWeight: 600, whiteSpace: 'nowrap', overflow: 'hidden', textOverflow: 'ellipsis' }}>
            {tag.maker} {tag.model}
          </Box>
          <Box sx={{ whiteSpace: 'nowrap', overflow: 'hidden', textOverflow: 'ellipsis' }}>
            {tag.owner}
            {tag.serial && `, ${tag.serial}`}
          </Box>
        </Box>
        <Code svg={tag.square} label={`QR code of ${tag.tag}`} width="15.5mm" height="15.5mm" />
        <Box sx={{ gridColumn: '1 / -1', alignSelf: 'end', pl: '3mm' }}>
          <Code svg={tag.bar} label={`Bar code of ${tag.tag}`} width="38mm" height="7mm" />
        </Box>
        <Box sx={{ gridColumn: '1 / -1', display: 'flex', justifyContent: 'space-between', fontSize: '6.6pt' }}>
          <span>{tag.shop}</span>
          <span>{tag.promisedOn ? `for ${tag.promisedOn}` : ''}</span>
        </Box>
      </Box>
    </PrintFrame>
  );
}

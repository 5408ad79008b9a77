import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { EditField } from './sheet';
import type { differences } from './mergeEdits';

/** What two people made of a card, side by side: field by field one of both is chosen. */
export function BothVersions({
  fields,
  rows,
  chosen,
  onChoose,
}: {
  fields: EditField[];
  rows: ReturnType<typeof differences>;
  chosen: (field: string) => 'mine' | 'theirs';
  onChoose: (field: string, whose: 'mine' | 'theirs') => void;
}) {
  const words = (field: EditField | undefined, v: unknown) => {
    if (v === true) return 'yes';
    if (v === false) return 'no';
    if (Array.isArray(v))
      return v.map((x) => field?.choices?.find((c) => c.value === x)?.label ?? String(x)).join(', ') || 'empty';
    return field?.choices?.find((c) => c.value === v)?.label ?? (String(v ?? '') || 'empty');
  };
  if (rows.length === 0)
    return <Typography variant="body2">They saved the very same. Save again to take over from here.</Typography>;
  return (
    <Box
      component="table"
      aria-label="Both versions"
      sx={{
        borderCollapse: 'collapse',
        width: '100%',
        '& td, & th': {
          p: 0.75,
          textAlign: 'left',
          verticalAlign: 'top',
          borderBottom: '1px solid',
          borderColor: 'divider',
          fontSize: '0.95rem',
        },
      }}
    >
      <thead>
        <tr>
          <th scope="col">Differs</th>
          <th scope="col">Yours</th>
          <th scope="col">Theirs, saved meanwhile</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((r) => {
          const field = fields.find((f) => f.name === r.field);
          return (
            <tr key={r.field}>
              <th scope="row">
                {field?.label ?? r.field}
                {r.clash && (
                  <Typography variant="caption" sx={{ display: 'block', color: 'bench.brass', fontWeight: 600 }}>
                    both changed it
                  </Typography>
                )}
              </th>
              {(['mine', 'theirs'] as const).map((whose) => (
                <td key={whose}>
                  <label>
                    <input
                      type="radio"
                      name={`both-${r.field}`}
                      checked={chosen(r.field) === whose}
                      onChange={() => onChoose(r.field, whose)}
                    />{' '}
                    {words(field, r[whose])}
                  </label>
                </td>
              ))}
            </tr>
          );
        })}
      </tbody>
    </Box>
  );
}

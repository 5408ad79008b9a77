import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { GLANCE_DAYS, type GlanceView } from '@/shop/glance/dto';
import NextLink from '../theme/NextLink';
import { fonts } from '../theme/palette';

interface Figure {
  value: string;
  words: string;
  /** What stands beside it: how it was before. */
  beside?: string;
  href?: string;
  /** It wants attention. */
  calls?: boolean;
}

/** The shop in figures: what is here now, how the last weeks went, what is to come. */
export function ShopAtAGlance({ figures: f, name }: { figures: GlanceView; name: string }) {
  const rate = f.handedBack90 === 0 ? null : (100 * f.comebacks90) / f.handedBack90;
  const groups: { title: string; figures: Figure[] }[] = [
    {
      title: 'Now',
      figures: [
        { value: String(f.open), words: `machine${f.open === 1 ? '' : 's'} on the premises`, href: '/' },
        { value: String(f.late), words: 'past the promised day', href: '/', calls: f.late > 0 },
        { value: String(f.waiting), words: 'drying, soaking, or waiting for a part or an answer', href: '/' },
      ],
    },
    {
      title: `The last ${GLANCE_DAYS} days`,
      figures: [
        { value: String(f.takenIn), words: 'taken in', beside: `${f.takenInBefore} in the ${GLANCE_DAYS} before` },
        {
          value: String(f.handedBack),
          words: 'handed back',
          beside: `${f.handedBackBefore} in the ${GLANCE_DAYS} before`,
        },
      ],
    },
    {
      title: 'The last 90 days',
      figures: [
        {
          value: f.medianDays90 === null ? '–' : f.medianDays90.toFixed(1),
          words: 'days here, for half of the machines at most',
          beside: `of ${f.handedBack90} handed back`,
        },
        {
          value: rate === null ? '–' : `${rate.toFixed(rate < 10 ? 1 : 0)} %`,
          words: 'came back for it so far',
          beside: `${f.comebacks90} of ${f.handedBack90}`,
        },
      ],
    },
    {
      title: 'To come',
      figures: [
        {
          value: String(f.overdue),
          words: 'machines past their next due day',
          href: '/machines?sort=due',
          calls: f.overdue > 0,
        },
        { value: String(f.dueSoon), words: 'due within two weeks', href: '/machines?sort=due' },
        {
          value: String(f.partsOut),
          words: `part${f.partsOut === 1 ? '' : 's'} of the list with none in stock`,
          calls: f.partsOut > 0,
        },
      ],
    },
  ];
  return (
    <Box>
      <Typography component="h1" variant="h2" sx={{ mb: 1 }}>
        {name}
      </Typography>
      <Box sx={{ display: 'grid', columnGap: 5, rowGap: 2.5, gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' } }}>
        {groups.map((g) => (
          <Box component="section" key={g.title} aria-label={g.title}>
            <Typography
              component="h2"
              variant="h3"
              sx={{ borderBottom: '2px solid', borderColor: 'text.primary', pb: 0.25 }}
            >
              {g.title}
            </Typography>
            {g.figures.map((figure) => (
              <Line key={figure.words} {...figure} />
            ))}
          </Box>
        ))}
      </Box>
    </Box>
  );
}

function Line({ value, words, beside, href, calls }: Figure) {
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: '112px 1fr',
        alignItems: 'baseline',
        columnGap: 2,
        py: 0.75,
        borderBottom: '1px solid',
        borderColor: 'divider',
      }}
    >
      <Box
        component="span"
        sx={{
          fontFamily: fonts.reading,
          fontSize: '1.7rem',
          lineHeight: 1.1,
          textAlign: 'right',
          color: calls ? 'bench.brass' : 'text.primary',
          fontWeight: calls ? 700 : 400,
        }}
      >
        {value}
      </Box>
      <Typography component="span" variant="body1">
        {href ? (
          <Link component={NextLink} href={href}>
            {words}
          </Link>
        ) : (
          words
        )}
        {beside && (
          <Box component="span" sx={{ color: 'text.secondary', display: 'block', fontSize: '0.88rem' }}>
            {beside}
          </Box>
        )}
      </Typography>
    </Box>
  );
}

import { writeFileSync } from 'node:fs';
import { staticStyles } from '../src/ui/theme/staticStyles';

writeFileSync('src/ui/theme/theme.css', staticStyles());

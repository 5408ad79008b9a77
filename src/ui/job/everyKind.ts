import { knowledge } from '@/knowledge';
import { tradeBook } from '@/knowledge/tradeBook';
import { tell } from './trade';

// For screens that show machines of any kind.
for (const kind of knowledge.kinds) tell(tradeBook(kind.id));

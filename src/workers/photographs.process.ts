import { worker } from 'workerpool';
import { decodePhotographsOnly, madeSmaller } from '@/shop/photographs/madeSmaller';

// Files of strangers are decoded here, in a process that may be lost.
decodePhotographsOnly();
worker({ madeSmaller });

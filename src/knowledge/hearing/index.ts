import { earOf, type TaughtModel } from '@/core/intake/hearing/ear';
import { lexicon } from './lexicon';
import model from './model.json';
import { NOTHING } from './said';

/** The hearing as it was last taught (`./gritkeeper hearing`). Large: loaded when somebody begins to write down words. */
export const ear = earOf(model satisfies TaughtModel, lexicon, [NOTHING]);

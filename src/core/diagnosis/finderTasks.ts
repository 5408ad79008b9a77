import { forecastsOf, type Forecast } from './forecastsOf';
import { inputOf, reckonCase, type FinderCase, type Reckoned } from './finderCase';
import type { Knowledge } from './knowledge';
import type { Tallies } from './learnPriors';

/** What the finder is asked to do away from the server's event loop: plain data in, plain data out. */
export interface FinderTasks {
  /** Odds, explanations, next actions. */
  reckon(given: { asked: FinderCase; tallies: Tallies }): Reckoned;
  /** What it said before the cause was known. */
  foretell(given: { asked: FinderCase; tallies: Tallies; confirmed: string[] }): Forecast[];
}

export function finderTasks(knowledge: Knowledge): FinderTasks {
  return {
    reckon: ({ asked, tallies }) => reckonCase(knowledge, asked, tallies),
    foretell: ({ asked, tallies, confirmed }) => forecastsOf(knowledge, inputOf(knowledge, asked, tallies), confirmed),
  };
}

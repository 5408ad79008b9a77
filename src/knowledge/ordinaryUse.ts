/** Hours a week of a household’s machine. Common practice, no source. */
const AT_HOME = 1.5;
/** Of machines that are made for the trade. Common practice, no source. */
const IN_TRADE: Readonly<Record<string, number>> = {
  'scrubber-walk-behind': 10,
  'scrubber-ride-on': 10,
  backpack: 8,
  'carpet-extractor': 3,
};

/** What is ordinary use of a kind, hours a week: more than that shortens intervals and lives. */
export const ordinaryHoursPerWeek = (kind: string): number => IN_TRADE[kind] ?? AT_HOME;

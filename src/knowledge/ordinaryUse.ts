/** Hours a week of a household’s machine. Common practice, no source. */
const AT_HOME = 1.5;
/** Of machines that are made for the trade. Common practice, no source. */
const IN_TRADE: Readonly<Record<string, number>> = {
  'scrubber-walk-behind': 10,
  'scrubber-ride-on': 10,
  backpack: 8,
  'carpet-extractor': 3,
};

/** One use in a household: once round the rooms. Common practice, no source. */
const USE_AT_HOME = 0.5;
/** One shift, or one carpet job. Common practice, no source. */
const USE_IN_TRADE: Readonly<Record<string, number>> = {
  'scrubber-walk-behind': 2,
  'scrubber-ride-on': 2,
  backpack: 2,
  'carpet-extractor': 1.5,
};

/** What is ordinary use of a kind, hours a week: more than that shortens intervals and lives. */
export const ordinaryHoursPerWeek = (kind: string): number => IN_TRADE[kind] ?? AT_HOME;

/** The same, and how long a machine of the kind runs at one use, hours. */
export const ordinaryUseOf = (kind: string): { ordinaryHoursPerWeek: number; hoursPerUse: number } => ({
  ordinaryHoursPerWeek: ordinaryHoursPerWeek(kind),
  hoursPerUse: USE_IN_TRADE[kind] ?? USE_AT_HOME,
});

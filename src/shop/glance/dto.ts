/** How far back the figures of the last days look. */
export const GLANCE_DAYS = 30;

/** The shop in figures. */
export interface GlanceView {
  open: number;
  late: number;
  waiting: number;
  takenIn: number;
  takenInBefore: number;
  handedBack: number;
  handedBackBefore: number;
  handedBack90: number;
  comebacks90: number;
  medianDays90: number | null;
  overdue: number;
  dueSoon: number;
  partsOut: number;
}

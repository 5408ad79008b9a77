/** A photograph as the screens show it. */
export interface PhotographView {
  id: number;
  at: string;
  caption: string;
  /** What it shows: `step:`, `item:`, `check:` or `fault:` and which; empty for none of them. */
  shows: string;
  width: number;
  height: number;
  by: string | null;
}

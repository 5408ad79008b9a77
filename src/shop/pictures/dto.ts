/** A photograph as the screens show it. */
export interface PhotographView {
  id: number;
  at: string;
  caption: string;
  width: number;
  height: number;
  by: string | null;
}

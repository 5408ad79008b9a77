/** Who is at the keyboard, as the guard found out. */
export interface Person {
  id: number;
  name: string;
  role: 'owner' | 'technician' | 'counter';
  /** The session they came in with; none with a token. */
  session?: number;
}

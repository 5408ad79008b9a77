/** Who is at the keyboard, as the guard found out. */
export interface Person {
  id: number;
  name: string;
  role: 'owner' | 'technician' | 'counter';
}

/** The stages that have a screen, in the order of the way of a machine. */
export const STAGES = [
  { id: 'take-in', label: 'Take in' },
  { id: 'find', label: 'Find' },
  { id: 'agree', label: 'Agree' },
  { id: 'strip', label: 'Strip' },
  { id: 'fit', label: 'Fit' },
  { id: 'prove', label: 'Prove' },
  { id: 'hand-back', label: 'Hand back' },
] as const;

export type StageId = (typeof STAGES)[number]['id'];

/** Whether a look at a visit called something worn. */
export const isAnyWorn = (service: readonly { said: 'done' | 'worn' | 'left' | null }[]): boolean =>
  service.some((l) => l.said === 'worn');

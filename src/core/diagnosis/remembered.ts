/**
 * A function of one number that reckons each value once.
 * @example
 * const square = remembered((n) => n * n);
 * square(12) // 144
 */
export function remembered<T>(reckon: (key: number) => T): (key: number) => T {
  const known = new Map<number, T>();
  return (key) => {
    let value = known.get(key);
    if (value === undefined) known.set(key, (value = reckon(key)));
    return value;
  };
}

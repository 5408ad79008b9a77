/**
 * Stands in for an object that costs too much to be made before anybody looks into it: it is made then, once, and answers in its
 * place. What is asked of it is only read.
 */
export function atFirstUse<T extends object>(make: () => T): T {
  let made: T | undefined;
  const real = () => (made ??= make());
  return new Proxy({} as T, {
    get: (_, name) => Reflect.get(real(), name) as unknown,
    has: (_, name) => Reflect.has(real(), name),
    ownKeys: () => Reflect.ownKeys(real()),
    getOwnPropertyDescriptor: (_, name) => Reflect.getOwnPropertyDescriptor(real(), name),
  });
}

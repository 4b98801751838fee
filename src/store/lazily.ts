/** Something that is made when it is first asked for. */
export function lazily<Value>(make: () => Promise<Value>) {
  let made: Value | null = null;
  let making: Promise<Value> | null = null;
  return {
    now: () => made,
    get: (): Promise<Value> =>
      (making ??= make().then(
        (value) => (made = value),
        (error: unknown) => {
          // Asked again later, it is tried again: the network may be back.
          making = null;
          throw error;
        },
      )),
  };
}

/**
 * A value by its name alone: a name from outside may be one that every object is born with, such as `constructor`, and then it
 * is simply not there. Example: `own({ a: 1 }, 'toString')` is undefined.
 */
export function own<Value>(map: Readonly<Record<string, Value>>, name: string): Value | undefined {
  return Object.hasOwn(map, name) ? map[name] : undefined;
}

/** An empty map in which every name is free, those that objects are born with included. */
export function emptyMap<Value>(): Record<string, Value> {
  return Object.create(null) as Record<string, Value>;
}

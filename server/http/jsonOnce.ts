const written = new WeakMap<object, string>();

/** A value that never changes as JSON, written once however often it is asked for. */
export function jsonOnce(value: object): string {
  const known = written.get(value);
  if (known !== undefined) return known;
  const json = JSON.stringify(value);
  written.set(value, json);
  return json;
}

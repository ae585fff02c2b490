/**
 * A value that is the same as another where it says the same: what did not change is the very object that it was, so that what was
 * laid out of it holds. Things with an id are found by it.
 */
export function sharing<T>(before: unknown, after: T): T {
  if (before === after) return after;
  if (Array.isArray(before) && Array.isArray(after)) {
    const byId = new Map(before.flatMap((each) => (idOf(each) === undefined ? [] : [[idOf(each), each]])));
    const made = after.map((each, i) => sharing(byId.get(idOf(each)) ?? before[i], each));
    const isSame = made.length === before.length && made.every((each, i) => each === before[i]);
    return (isSame ? before : made) as T;
  }
  if (!isRecord(before) || !isRecord(after)) return after;
  const names = Object.keys(after);
  const made = Object.fromEntries(names.map((name) => [name, sharing(before[name], after[name])]));
  const isSame =
    names.length === Object.keys(before).length &&
    names.every((name) => Object.hasOwn(before, name) && made[name] === before[name]);
  return (isSame ? before : made) as T;
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === "object" && value !== null && !Array.isArray(value);
const idOf = (value: unknown): unknown => (isRecord(value) ? value.id : undefined);

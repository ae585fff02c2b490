/** What a document is made of once it is taken apart: JSON, with things that have a name found under it and not by their place. */
export type Json = null | boolean | number | string | readonly Json[] | { readonly [name: string]: Json };
export type Branch = { readonly [name: string]: Json };
/** Names from the root down. */
export type Path = readonly string[];

export const isBranch = (value: Json | undefined): value is Branch =>
  typeof value === "object" && value !== null && !Array.isArray(value);

/** Names in an order; each once. Two hands may change one list: it is joined, not replaced. */
export const isOrder = (value: Json | undefined): value is readonly string[] =>
  Array.isArray(value) &&
  value.every((each) => typeof each === "string") &&
  new Set(value).size === value.length;

export function isSame(a: Json | undefined, b: Json | undefined): boolean {
  if (a === b) return true;
  if (Array.isArray(a) && Array.isArray(b))
    return a.length === b.length && a.every((each, i) => isSame(each, b[i]));
  if (!isBranch(a) || !isBranch(b)) return false;
  const names = Object.keys(a);
  return (
    names.length === Object.keys(b).length &&
    names.every((name) => Object.hasOwn(b, name) && isSame(a[name], b[name]))
  );
}

export function valueAt(tree: Json | undefined, path: Path): Json | undefined {
  let at = tree;
  for (const name of path) {
    if (!isBranch(at) || !Object.hasOwn(at, name)) return undefined;
    at = at[name];
  }
  return at;
}

/**
 * The tree with another value at a place; without that place when there is none.
 * @returns undefined when what it would lie in is not there
 */
export function withValueAt(tree: Branch, path: Path, value: Json | undefined): Branch | undefined {
  const [name, ...rest] = path;
  if (name === undefined) throw new Error("A value has to be put somewhere, and the path is empty");
  if (rest.length > 0) {
    const child = Object.hasOwn(tree, name) ? tree[name] : undefined;
    if (!isBranch(child)) return undefined;
    const changed = withValueAt(child, rest, value);
    return changed && { ...tree, [name]: changed };
  }
  if (value !== undefined) return { ...tree, [name]: value };
  const { [name]: _gone, ...others } = tree;
  return others;
}

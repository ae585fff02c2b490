/**
 * One order out of two that were made from the same: what either took out is out, what either put in follows what it was put
 * behind, and what one of them moved stands where that one has it.
 * @returns undefined when both moved what is in both
 */
export function joinOrders(
  before: readonly string[],
  mine: readonly string[],
  theirs: readonly string[],
): readonly string[] | undefined {
  const known = new Set(before);
  const stays = new Set(before.filter((name) => mine.includes(name) && theirs.includes(name)));
  const isAsBefore = (order: readonly string[]) => {
    const common = order.filter((name) => stays.has(name));
    const was = before.filter((name) => stays.has(name));
    return common.every((name, i) => name === was[i]);
  };
  const [base, other] = isAsBefore(mine) ? [theirs, mine] : [mine, theirs];
  if (!isAsBefore(other)) return undefined;
  const joined = base.filter((name) => stays.has(name) || !known.has(name));
  for (const [i, name] of other.entries()) {
    if (known.has(name) || joined.includes(name)) continue;
    const behind = other
      .slice(0, i)
      .reverse()
      .find((each) => joined.includes(each));
    joined.splice(behind === undefined ? 0 : joined.indexOf(behind) + 1, 0, name);
  }
  return joined;
}

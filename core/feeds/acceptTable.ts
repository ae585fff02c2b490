import { parseNumber } from "../figures/number.ts";
import { t } from "../language/t.ts";
import { type ColumnKindName, columnKind, kindsFound } from "./columnKinds.ts";
import type { ColumnRule, FeedDoc } from "./feed.ts";
import { type FeedFault, quoted, wholeFault } from "./feedFault.ts";
import type { Table } from "./table.ts";

/** What a feed's table is known to be like: what comes is held to it. */
export interface TableShape {
  readonly columns: readonly string[];
  /** The kind of every column. */
  readonly kinds: Readonly<Record<string, ColumnKindName>>;
  readonly rows: number;
}

export type Accepted = { readonly table: Table; readonly shape: TableShape } | { readonly fault: FeedFault };

type Settings = Pick<FeedDoc, "rules" | "keyColumn" | "mostRows">;

/**
 * Whether a table that was read may take the place of the one before it. What is wrong is refused whole: a table is good or it is not.
 * @param before what the last good one was like; null: there was none, or a person wants this one as it is
 */
export function acceptTable(before: TableShape | null, read: Table, settings: Settings): Accepted {
  const fault = findFault(before, read, settings);
  if (fault) return { fault };
  const found = kindsFound(read);
  const kinds = Object.fromEntries(
    read.columns.map((name) => [name, settings.rules[name]?.kind ?? keptKind(before, name, found)]),
  );
  return { table: read, shape: { columns: read.columns, kinds, rows: read.rows.length } };
}

/** A column keeps its kind, but for one in which only words or nothing stood: what stands there now may say more. */
function keptKind(
  before: TableShape | null,
  name: string,
  found: Readonly<Record<string, ColumnKindName>>,
): ColumnKindName {
  const was = before?.kinds[name];
  return was && was !== "words" ? was : (found[name] ?? "words");
}

function findFault(before: TableShape | null, read: Table, settings: Settings): FeedFault | undefined {
  const { rules, keyColumn, mostRows } = settings;
  if (read.rows.length > mostRows)
    return wholeFault("tooMany", t`it has ${read.rows.length} rows, and may have ${mostRows}.`);
  const wanted = new Set([
    ...(before?.columns ?? []),
    ...Object.keys(rules),
    ...(keyColumn === "" ? [] : [keyColumn]),
  ]);
  for (const name of wanted)
    if (!read.columns.includes(name))
      return { ...wholeFault("missingColumn", t`its column ${quoted(name)} is missing.`), column: name };
  if (read.rows.length === 0 && before && before.rows > 0)
    return wholeFault("empty", t`it has no rows any more, and had ${before.rows}.`);
  for (const [index, name] of read.columns.entries()) {
    const rule = rules[name];
    const kind = rule?.kind ?? before?.kinds[name] ?? "words";
    const checks = checksOf(kind, rule);
    if (checks.length === 0) continue;
    for (const [at, cells] of read.rows.entries()) {
      const value = cells[index] ?? "";
      if (value.trim() === "") continue;
      for (const check of checks) {
        const wrong = check(value);
        if (wrong)
          return {
            ...wrong,
            row: at + 1,
            column: name,
            value,
            says: t`${quoted(name)} has ${quoted(value)} in row ${at + 1}, ${wrong.says}`,
          };
      }
    }
  }
  return keyColumn === "" ? undefined : findDoubleKey(read, keyColumn);
}

type Check = (value: string) => Pick<FeedFault, "code" | "says"> | undefined;

function checksOf(kind: ColumnKindName, rule: ColumnRule | undefined): Check[] {
  const checks: Check[] = [];
  if (kind !== "words")
    checks.push((value) =>
      columnKind(kind).fits(value)
        ? undefined
        : { code: "wrongKind", says: t`where ${columnKind(kind).one} belongs.` },
    );
  const { from = null, to = null, oneOf = [] } = rule ?? {};
  if (from !== null || to !== null)
    checks.push((value) => {
      const number = parseNumber(value)?.value;
      if (number === undefined) return { code: "wrongKind", says: t`where a number belongs.` };
      if (from !== null && number < from)
        return { code: "notAllowed", says: t`and ${from} is the least allowed.` };
      if (to !== null && number > to) return { code: "notAllowed", says: t`and ${to} is the most allowed.` };
      return undefined;
    });
  if (oneOf.length > 0)
    checks.push((value) =>
      oneOf.includes(value) ? undefined : { code: "notAllowed", says: t`which is none of ${someOf(oneOf)}.` },
    );
  return checks;
}

const someOf = (choices: readonly string[]): string =>
  choices.slice(0, 4).map(quoted).join(", ") + (choices.length > 4 ? t` and ${choices.length - 4} more` : "");

function findDoubleKey(read: Table, keyColumn: string): FeedFault | undefined {
  const index = read.columns.indexOf(keyColumn);
  const seen = new Map<string, number>();
  for (const [at, cells] of read.rows.entries()) {
    const key = cells[index] ?? "";
    const first = seen.get(key);
    if (key !== "" && first !== undefined)
      return {
        code: "doubleKey",
        row: at + 1,
        column: keyColumn,
        value: key,
        says: t`rows ${first} and ${at + 1} are both called ${quoted(key)} in ${quoted(keyColumn)}.`,
      };
    seen.set(key, at + 1);
  }
  return undefined;
}

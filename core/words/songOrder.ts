import { findLabel } from "./sectionLabels.ts";
import type { SongSection } from "./song.ts";

/** A place in the order of a song: a section, or a step that shows nothing. */
export type OrderItem = { readonly kind: "section"; readonly key: string } | { readonly kind: "blank" };

export interface SongOrder {
  readonly items: readonly OrderItem[];
  /** What was typed and names no section. */
  readonly unknown: readonly string[];
}

export const ORDER_MAX_ITEMS = 400;
const BLANK = /^(?:-|–|—|_|blank|empty)$/i;
const TIMES = /^[x×](\d)$/i;
const GLUED_TIMES = /^(.*?)[x×](\d)$/i;

/**
 * Reads an order such as "V1 C V2 C B C x2 - C". Names of sections work as well as their letters ("Verse 1,
 * Chorus"); "-" is a blank step; "x2" sings the one before it twice.
 */
export function parseOrder(
  typed: string,
  sections: readonly Pick<SongSection, "key" | "label">[],
): SongOrder {
  const items: OrderItem[] = [];
  const unknown: string[] = [];
  const byName = new Map<string, string>();
  for (const { key, label } of sections) {
    byName.set(key.toLowerCase(), key);
    byName.set(label.toLowerCase(), key);
  }
  const find = (name: string) => {
    const lower = name.toLowerCase();
    const label = findLabel(name);
    const own = label && `${label.kind.letter}${label.number}`.toLowerCase();
    return (
      byName.get(lower) ??
      byName.get(`${lower}1`) ??
      (own === undefined
        ? undefined
        : (byName.get(own) ?? (label?.number === "" ? byName.get(`${own}1`) : undefined)))
    );
  };
  const sing = (key: string, times: number) => {
    for (let i = 0; i < times; i++) items.push({ kind: "section", key });
  };
  for (const part of typed.split(/[,;\n]+/)) {
    const whole = part.trim() === "" ? undefined : find(part.trim());
    if (whole) {
      sing(whole, 1);
      continue;
    }
    for (const token of part.trim().split(/\s+/)) {
      if (token === "") continue;
      if (BLANK.test(token)) {
        items.push({ kind: "blank" });
        continue;
      }
      const times = TIMES.exec(token);
      const last = items.at(-1);
      if (times && last) {
        for (let i = 1; i < Number(times[1]); i++) items.push(last);
        continue;
      }
      const key = find(token);
      const glued = key ? undefined : GLUED_TIMES.exec(token);
      const gluedKey = glued && find(glued[1] as string);
      if (key) sing(key, 1);
      else if (gluedKey) sing(gluedKey, Math.max(1, Number(glued[2])));
      else unknown.push(token);
    }
  }
  return { items: items.slice(0, ORDER_MAX_ITEMS), unknown };
}

/** The order as it is typed. */
export const formatOrder = (items: readonly OrderItem[]): string =>
  items.map((item) => (item.kind === "blank" ? "-" : item.key)).join(" ");

/** The order sung: the typed one where it names anything, else as the text has it. */
export function orderOf(
  typed: string,
  song: { readonly sections: readonly SongSection[]; readonly order: readonly string[] },
): SongOrder {
  const parsed = parseOrder(typed, song.sections);
  if (parsed.items.length > 0) return parsed;
  return { items: song.order.map((key) => ({ kind: "section", key })), unknown: parsed.unknown };
}

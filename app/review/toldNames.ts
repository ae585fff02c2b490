import { t } from "../../core/language/t.ts";
import type { LineKind } from "../../core/words/reader/candidate.ts";
import { TOLD_KINDS, type ToldKind } from "../../core/words/reader/told.ts";

interface Named {
  readonly name: string;
  /** The key that says so, in its name. */
  readonly key: string;
}

/** What a line can be said to be. */
export const TOLD_NAMES: Readonly<Record<ToldKind, Named>> = {
  words: { name: t`words`, key: "w" },
  label: { name: t`label`, key: "l" },
  title: { name: t`title`, key: "t" },
  credit: { name: t`credit`, key: "c" },
  chords: { name: t`chords`, key: "h" },
  nothing: { name: t`nothing`, key: "n" },
};

export const KIND_KEYS: ReadonlyMap<string, ToldKind> = new Map(
  TOLD_KINDS.map((kind) => [TOLD_NAMES[kind].key, kind]),
);

/** What a line was taken for, as its row says it; empty for words, which say it themselves. */
export const LINE_NAMES: Readonly<Record<LineKind, string>> = {
  title: t`title`,
  label: t`label`,
  words: "",
  repeat: t`sung again`,
  order: t`order`,
  key: t`left out`,
  credit: t`credit`,
  chords: t`chords`,
  tab: t`left out`,
  rule: t`left out`,
  note: t`left out`,
};

/** Lines that are in nothing that is kept. */
export const LEFT_OUT: ReadonlySet<LineKind> = new Set(["key", "tab", "rule", "note"]);

/** What a line is among the things that it can be said to be. */
export const TOLD_AS: Readonly<Record<LineKind, ToldKind | undefined>> = {
  title: "title",
  label: "label",
  words: "words",
  repeat: undefined,
  order: undefined,
  key: "nothing",
  credit: "credit",
  chords: "chords",
  tab: "nothing",
  rule: "nothing",
  note: "nothing",
};

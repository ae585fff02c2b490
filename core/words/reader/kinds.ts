import type { LineKind, Weigh } from "./candidate.ts";
import { weighChords } from "./kinds/chords.ts";
import { weighCredit } from "./kinds/credit.ts";
import { weighKey } from "./kinds/key.ts";
import { weighLabel } from "./kinds/label.ts";
import { weighNote } from "./kinds/note.ts";
import { weighOrder } from "./kinds/order.ts";
import { weighRepeat } from "./kinds/repeat.ts";
import { weighRule } from "./kinds/rule.ts";
import { weighTab } from "./kinds/tab.ts";
import { weighTitle } from "./kinds/title.ts";
import { weighWords } from "./kinds/words.ts";

/** Each kind of line has one file that weighs it. */
export const WEIGHERS: Readonly<Record<LineKind, Weigh>> = {
  title: weighTitle,
  label: weighLabel,
  words: weighWords,
  repeat: weighRepeat,
  order: weighOrder,
  key: weighKey,
  credit: weighCredit,
  chords: weighChords,
  tab: weighTab,
  rule: weighRule,
  note: weighNote,
};

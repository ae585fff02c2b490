import { z } from "zod";
import type { Happening } from "./happening.ts";
import type { TriggerNames } from "./triggerNames.ts";
import { clipWhen } from "./whens/clip.ts";
import { countdownWhen } from "./whens/countdown.ts";
import { cueWhen } from "./whens/cue.ts";
import { messageWhen } from "./whens/message.ts";
import { padWhen } from "./whens/pad.ts";
import { sourceWhen } from "./whens/source.ts";
import { timeWhen } from "./whens/time.ts";
import { valueWhen } from "./whens/value.ts";
import type { WhenKind } from "./whens/whenKind.ts";

/** Every kind of thing that sets triggers off; a new one is a file and a line here. */
const KINDS = {
  source: sourceWhen,
  clip: clipWhen,
  cue: cueWhen,
  time: timeWhen,
  countdown: countdownWhen,
  value: valueWhen,
  message: messageWhen,
  pad: padWhen,
} as const;

export const whenSchema = z.union([
  sourceWhen.schema,
  clipWhen.schema,
  cueWhen.schema,
  timeWhen.schema,
  countdownWhen.schema,
  valueWhen.schema,
  messageWhen.schema,
  padWhen.schema,
]);
export type When = z.infer<typeof whenSchema>;
export type WhenName = When["kind"];

export const WHEN_NAMES = Object.keys(KINDS) as WhenName[];

const kindOf = (when: Pick<When, "kind">) => KINDS[when.kind] as WhenKind<When>;

export const nameOfWhen = (kind: WhenName): string => KINDS[kind].name;
export const setsOff = (when: When, happening: Happening): boolean => kindOf(when).sets(when, happening);
export const endsIt = (when: When, happening: Happening): boolean => kindOf(when).ends(when, happening);
/** How the end of what set it off reads; null: it has none. */
export const endOfWhen = (when: When): string | null => kindOf(when).endSays(when);
export const sayWhen = (when: When, names: TriggerNames): string => kindOf(when).says(when, names);

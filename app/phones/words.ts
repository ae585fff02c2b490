import { t } from "../../core/language/t.ts";
import type { RemoteLink } from "../../core/remote/remoteLink.ts";

export const CAN_WORDS: Readonly<Record<RemoteLink["can"], string>> = {
  look: t`Only looks`,
  next: t`Takes what is next, and steps back`,
  all: t`Takes, steps back and takes off`,
};
export const VIEW_WORDS: Readonly<Record<RemoteLink["view"], string>> = {
  both: t`What is on air and what is next`,
  next: t`The next words, large`,
  follow: t`All words of the cue, as they pass`,
};

import type { RemoteLink } from "../../core/remote/remoteLink.ts";

export const CAN_WORDS: Readonly<Record<RemoteLink["can"], string>> = {
  look: "Only looks",
  next: "Takes what is next, and steps back",
  all: "Takes, steps back and takes off",
};
export const VIEW_WORDS: Readonly<Record<RemoteLink["view"], string>> = {
  both: "What is on air and what is next",
  next: "The next words, large",
  follow: "All words of the cue, as they pass",
};

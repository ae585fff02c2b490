/** Messages of any kind in a second; a stuck key with pings and reports stays far below, a broken program does not. */
const MOST_MESSAGES = 150;
/** Commands in a second. */
const MOST_COMMANDS = 60;

/** What a window may still say in this second. */
export interface Allowance {
  readonly second: number;
  readonly messages: number;
  readonly commands: number;
}

export const FULL_ALLOWANCE: Allowance = { second: 0, messages: 0, commands: 0 };

/** Counts one message. "flood": the window is to be dropped; "tooFast": a command is not carried out. */
export function spend(
  before: Allowance,
  isCommand: boolean,
  nowMs: number,
): { readonly allowance: Allowance; readonly verdict: "fine" | "tooFast" | "flood" } {
  const second = Math.floor(nowMs / 1_000);
  const { messages, commands } = before.second === second ? before : FULL_ALLOWANCE;
  const allowance = { second, messages: messages + 1, commands: commands + (isCommand ? 1 : 0) };
  if (allowance.messages > MOST_MESSAGES) return { allowance, verdict: "flood" };
  return { allowance, verdict: isCommand && allowance.commands > MOST_COMMANDS ? "tooFast" : "fine" };
}

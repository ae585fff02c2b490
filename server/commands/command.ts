/** Something that is done at the terminal, without a server of its own. */
export interface Command {
  /** In one line, for the list of all. */
  readonly does: string;
  readonly help: string;
  /** @returns the sentences it has to say; throws CommandProblem when it was not done */
  readonly run: (args: readonly string[], context: CommandContext) => Promise<readonly string[]>;
}

export interface CommandContext {
  /** Folder of this project. */
  readonly home: string;
  readonly nowMs: number;
}

/** It was not done, and why. */
export class CommandProblem extends Error {}
/** It was called with what it does not know. */
export class CommandMisused extends Error {}

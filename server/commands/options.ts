import { type ParseArgsConfig, parseArgs } from "node:util";
import { CommandMisused } from "./command.ts";

/** Options of a command as they were typed. @throws CommandMisused with what was not understood */
export function readOptions<T extends NonNullable<ParseArgsConfig["options"]>>(
  args: readonly string[],
  options: T,
  allowPositionals = false,
) {
  try {
    return parseArgs({ args: [...args], options, allowPositionals });
  } catch (error) {
    throw new CommandMisused((error as Error).message.split(". To ")[0]);
  }
}

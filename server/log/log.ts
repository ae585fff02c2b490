/** How serious a line is, the least first. */
export const LOG_LEVELS = ["info", "warn", "error"] as const;
export type LogLevel = (typeof LOG_LEVELS)[number];

/** The same line within this time is counted, not written again: a fault that repeats fills no disk. */
const REPEAT_MS = 10_000;
const MOST_REMEMBERED = 200;
const LONGEST_LINE = 4_000;

interface Repeated {
  readonly sinceMs: number;
  times: number;
}

let leastLevel: LogLevel = "info";
let keepLine: ((line: string) => void) | undefined;

/** @param keep is given each line besides; lines of lower levels are left out here and there */
export function setUpLog(least: LogLevel, keep: ((line: string) => void) | undefined): void {
  leastLevel = least;
  keepLine = keep;
}

const recent = new Map<string, Repeated>();

/** One line of the log: time, level, words. Tokens are left out, and nothing in it can begin a line of its own. */
export function logLine(level: LogLevel, atMs: number, sentence: string, error?: unknown): string {
  const why = error === undefined ? "" : ` | ${tell(error)}`;
  const words = `${sentence}${why}`
    // Tokens of links and sessions are 32 letters of base64url; hashes are longer, ids shorter or with dashes.
    .replace(/(?<![\w-])[\w-]{32}(?![\w-])/g, "(token)")
    // biome-ignore lint/suspicious/noControlCharactersInRegex: they are what is taken out
    .replace(/[\u0000-\u001f\u007f-\u009f\u2028\u2029]+/g, " ¶ ")
    .slice(0, LONGEST_LINE);
  return `${new Date(atMs).toISOString()} ${level.toUpperCase().padEnd(5)} ${words}`;
}

function tell(error: unknown): string {
  if (!(error instanceof Error)) return String(error);
  const code = "code" in error && typeof error.code === "string" ? `${error.code} ` : "";
  return `${code}${error.stack ?? error.message}`;
}

function write(level: LogLevel, sentence: string, error?: unknown): void {
  if (LOG_LEVELS.indexOf(level) < LOG_LEVELS.indexOf(leastLevel)) return;
  const atMs = Date.now();
  const key = `${level}${sentence}${error instanceof Error ? error.message : ""}`;
  const known = recent.get(key);
  if (known && atMs - known.sinceMs < REPEAT_MS) {
    known.times++;
    return;
  }
  recent.delete(key);
  recent.set(key, { sinceMs: atMs, times: 1 });
  for (const oldest of recent.keys()) {
    if (recent.size <= MOST_REMEMBERED) break;
    recent.delete(oldest);
  }
  const more = known && known.times > 1 ? ` (${known.times - 1} more like it since)` : "";
  const line = logLine(level, atMs, sentence + more, error);
  keepLine?.(line);
  if (level === "info") console.log(line);
  else console.error(line);
}

/** What the server says of itself while it runs, for whoever looks at its terminal or journal. */
export const log = {
  info: (sentence: string) => write("info", sentence),
  warn: (sentence: string, error?: unknown) => write("warn", sentence, error),
  error: (sentence: string, error?: unknown) => write("error", sentence, error),
};

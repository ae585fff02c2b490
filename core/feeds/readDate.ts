const DATE = /^(\d{4})-(\d{2})-(\d{2})(?:[T ](\d{2}):(\d{2})(?::(\d{2})(?:\.\d+)?)?Z?)?$/;

/** A date of ISO 8601 (RFC 3339 without an offset) as if it were in UTC, ms; undefined for what is none, the 30th of February too. */
export function readDate(text: string): number | undefined {
  const found = DATE.exec(text.trim());
  if (!found) return undefined;
  const [year = 0, month = 0, day = 0, hour = 0, minute = 0, second = 0] = found
    .slice(1)
    .map((part) => Number(part ?? 0));
  const ms = Date.UTC(year, month - 1, day, hour, minute, second);
  const back = new Date(ms);
  const isReal =
    back.getUTCMonth() === month - 1 && back.getUTCDate() === day && hour < 24 && minute < 60 && second < 60;
  return isReal ? ms : undefined;
}

const TIME = /^(\d{1,3}):([0-5]\d)(?::([0-5]\d)(?:[.,](\d{1,3}))?)?$/;

/** A time of day or a length ("19:30", "1:02:03.4") in ms; undefined for what is none. Two parts are hours and minutes. */
export function readTime(text: string): number | undefined {
  const found = TIME.exec(text.trim());
  if (!found) return undefined;
  const [, hours = "0", minutes = "0", seconds = "0", fraction = ""] = found;
  return (
    Number(hours) * 3_600_000 +
    Number(minutes) * 60_000 +
    Number(seconds) * 1_000 +
    Number(fraction.padEnd(3, "0"))
  );
}

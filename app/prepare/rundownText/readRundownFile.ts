import { t } from "../../../core/language/t.ts";
/** Files that are read as a rundown that somebody wrote. */
export const isRundownFile = (name: string): boolean =>
  /\.(txt|md|markdown|csv|tsv|ics|cho|chopro|crd|pro)$/i.test(name);

const LARGEST_BYTES = 2 * 1024 * 1024;

/** The text of a file; of a calendar, a line for each of its entries. @returns a sentence where it cannot be read */
export async function readRundownFile(
  file: File,
): Promise<{ readonly text: string } | { readonly problem: string }> {
  if (file.size > LARGEST_BYTES)
    return { problem: t`“${file.name}” is larger than 2 MB, more than a rundown is. Nothing was added.` };
  const bytes = new Uint8Array(await file.arrayBuffer());
  const text = decode(bytes);
  if (/\.ics$/i.test(file.name) || /^BEGIN:VCALENDAR/i.test(text.trimStart()))
    return readCalendar(text, file.name);
  return { text };
}

/** As UTF-8 where it is that; else as older editors of western languages wrote it. */
function decode(bytes: Uint8Array): string {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return new TextDecoder("utf-16le").decode(bytes);
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return new TextDecoder("utf-16be").decode(bytes);
  try {
    return new TextDecoder("utf-8", { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder("windows-1252").decode(bytes);
  }
}

/** Source: RFC 5545, by a library. */
async function readCalendar(
  text: string,
  name: string,
): Promise<{ readonly text: string } | { readonly problem: string }> {
  const { default: ical } = await import("ical.js");
  try {
    const events = new ical.Component(ical.parse(text))
      .getAllSubcomponents("vevent")
      .map((each) => new ical.Event(each));
    const inOrder = events.sort((a, b) => a.startDate.compare(b.startDate));
    const two = (n: number) => String(n).padStart(2, "0");
    const lines = inOrder.map(({ startDate, duration, summary, description }) => {
      const time = startDate.isDate ? "" : `${two(startDate.hour)}:${two(startDate.minute)} `;
      const minutes = Math.round(duration.toSeconds() / 60);
      const length = !startDate.isDate && minutes > 0 ? t` (${minutes} min)` : "";
      const note = (description ?? "").replace(/\s+/g, " ").trim();
      return `- ${time}${(summary ?? "").replace(/\s+/g, " ").trim()}${length}${note === "" ? "" : `\n> ${note}`}`;
    });
    return { text: lines.join("\n") };
  } catch {
    return {
      problem: t`“${name}” is no calendar that can be read. Nothing was added; export it again as ICS.`,
    };
  }
}

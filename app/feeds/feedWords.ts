import type { FeedFormatKind, FeedSource } from "../../core/feeds/feed.ts";
import { t } from "../../core/language/t.ts";

export const FORMAT_NAMES: Readonly<Record<FeedFormatKind, string>> = {
  csv: "CSV",
  xlsx: t`Spreadsheet (XLSX)`,
  json: "JSON",
  xml: "XML",
  text: t`Plain text`,
  picture: t`Picture`,
};

/** Where a feed's rows come from, in a few words. */
export function sourceWords(source: FeedSource): string {
  switch (source.kind) {
    case "upload":
      return source.fileName === "" ? t`a file that is brought` : source.fileName;
    case "watched":
      return t`${source.path}, watched`;
    case "address":
      return t`${new URL(source.url).host}, every ${intervalWords(source.everyMs)}`;
    case "table":
      return t`typed here`;
    case "running":
      return t`the clips and the script`;
  }
}

export function intervalWords(ms: number): string {
  if (ms < 1_000) return t`${ms} ms`;
  if (ms < 60_000) return `${Math.round(ms / 100) / 10} s`;
  return t`${Math.round(ms / 6_000) / 10} min`;
}

/** "just now", "12 s ago", "4 min ago", "3 h ago". */
export function agoWords(ms: number): string {
  const seconds = Math.max(0, Math.round(ms / 1_000));
  if (seconds < 2) return t`just now`;
  if (seconds < 120) return t`${seconds} s ago`;
  if (seconds < 7_200) return t`${Math.round(seconds / 60)} min ago`;
  return t`${Math.round(seconds / 3_600)} h ago`;
}

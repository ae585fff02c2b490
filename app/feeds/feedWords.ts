import type { FeedFormatKind, FeedSource } from "../../core/feeds/feed.ts";

export const FORMAT_NAMES: Readonly<Record<FeedFormatKind, string>> = {
  csv: "CSV",
  xlsx: "Spreadsheet (XLSX)",
  json: "JSON",
  xml: "XML",
  text: "Plain text",
  picture: "Picture",
};

/** Where a feed's rows come from, in a few words. */
export function sourceWords(source: FeedSource): string {
  switch (source.kind) {
    case "upload":
      return source.fileName === "" ? "a file that is brought" : source.fileName;
    case "watched":
      return `${source.path}, watched`;
    case "address":
      return `${new URL(source.url).host}, every ${intervalWords(source.everyMs)}`;
    case "table":
      return "typed here";
    case "running":
      return "the clips and the script";
  }
}

export function intervalWords(ms: number): string {
  if (ms < 1_000) return `${ms} ms`;
  if (ms < 60_000) return `${Math.round(ms / 100) / 10} s`;
  return `${Math.round(ms / 6_000) / 10} min`;
}

/** "just now", "12 s ago", "4 min ago", "3 h ago". */
export function agoWords(ms: number): string {
  const seconds = Math.max(0, Math.round(ms / 1_000));
  if (seconds < 2) return "just now";
  if (seconds < 120) return `${seconds} s ago`;
  if (seconds < 7_200) return `${Math.round(seconds / 60)} min ago`;
  return `${Math.round(seconds / 3_600)} h ago`;
}

import type { Table } from "../../../core/feeds/table.ts";
import { decodeText } from "../decodeText.ts";

/** Plain text: a row for each line that is not empty, or one row with all of it. */
export function readTextRows(bytes: Uint8Array, rows: "lines" | "whole"): Table {
  const { text } = decodeText(bytes);
  if (rows === "whole") return { columns: ["text"], rows: text.trim() === "" ? [] : [[text.trim()]] };
  const lines = text
    .split(/\r\n|\r|\n/)
    .map((line) => line.trim())
    .filter((line) => line !== "");
  return { columns: ["text"], rows: lines.map((line) => [line]) };
}

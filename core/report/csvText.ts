import Papa from "papaparse";

/** A spreadsheet takes it for UTF-8 by this mark. */
const MARK = "\uFEFF";

/** Lines by RFC 4180. What a spreadsheet would take for a formula is told as text. */
export const csvText = (names: readonly string[], lines: readonly (readonly (string | number)[])[]): string =>
  MARK + Papa.unparse({ fields: [...names], data: lines.map((line) => [...line]) }, { escapeFormulae: true });

import Papa from "papaparse";
import { type Table, tableOf } from "../../../core/feeds/table.ts";
import { t } from "../../../core/language/t.ts";
import { decodeText } from "../decodeText.ts";
import { TableProblem } from "./tableProblem.ts";

const SEPARATORS = [",", ";", "\t", "|"];
const LOOKED_AT_ROWS = 50;

/**
 * Comma-separated values, by RFC 4180; separators and encodings besides its own are found out.
 * @throws TableProblem for a quotation mark that never ends
 */
export function readCsv(
  bytes: Uint8Array,
  { separator, firstRowNames }: { readonly separator: string | null; readonly firstRowNames: boolean },
): Table {
  const { text } = decodeText(bytes);
  const parsed = Papa.parse<string[]>(text, { delimiter: separator ?? likeliestSeparator(text) });
  const broken = parsed.errors.find(({ type }) => type === "Quotes");
  if (broken)
    throw new TableProblem(
      t`a quotation mark that begins in line ${(broken.row ?? 0) + 1} is not closed as it should be.`,
    );
  return tableOf(parsed.data, firstRowNames);
}

/** The separator by which the first rows have as many cells as the very first; of several, the one that makes most cells. */
function likeliestSeparator(text: string): string {
  let best = { separator: ",", alike: 0, cells: 1 };
  for (const separator of SEPARATORS) {
    const { data } = Papa.parse<string[]>(text, {
      delimiter: separator,
      preview: LOOKED_AT_ROWS,
      skipEmptyLines: "greedy",
    });
    const cells = data[0]?.length ?? 1;
    if (cells < 2) continue;
    const alike = data.filter((row) => row.length === cells).length / data.length;
    if (alike > best.alike || (alike === best.alike && cells > best.cells))
      best = { separator, alike, cells };
  }
  return best.separator;
}

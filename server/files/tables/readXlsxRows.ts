import type { CellValue, Workbook, Worksheet } from "exceljs";
import { type Table, tableOf } from "../../../core/feeds/table.ts";
import { t } from "../../../core/language/t.ts";
import { FileProblem } from "../scriptureFile.ts";
import { unzipFiles } from "../unzip.ts";
import { TableProblem } from "./tableProblem.ts";

const AREA = /^\$?([A-Z]{1,3})\$?(\d{1,7})(?::\$?([A-Z]{1,3})\$?(\d{1,7}))?$/i;
/** What a sheet may be, so that one far cell does not make a table of millions. */
const MOST_CELLS = 600_000;
const DAYS_TO_1904 = 1_462;
const DAY_MS = 86_400_000;

/**
 * A sheet of a workbook (ECMA-376). Formulas give the value that was kept with them; merged cells their value once, at the first.
 * @param range the name of a sheet or of a range, an area ("Scores!A1:C9", "B2:D8"); empty: the first sheet
 * @throws TableProblem
 */
export async function readXlsxRows(
  bytes: Uint8Array,
  { range, firstRowNames }: { readonly range: string; readonly firstRowNames: boolean },
): Promise<Table> {
  const workbookXml = measure(bytes);
  const { default: Excel } = await import("exceljs");
  const workbook = new Excel.Workbook();
  try {
    await workbook.xlsx.load(bytes.slice().buffer as ArrayBuffer);
  } catch {
    throw new TableProblem(t`it is not a whole XLSX file.`);
  }
  // The library knows "1" for a workbook that counts its days from 1904, and not "true", which means the same.
  const isShifted = /\bdate1904="true"/.test(workbookXml) && !workbook.properties.date1904;
  const shiftMs = isShifted ? DAYS_TO_1904 * DAY_MS : 0;
  const { sheet, top, left, bottom, right } = areaOf(workbook, range);
  if ((bottom - top + 1) * (right - left + 1) > MOST_CELLS)
    throw new TableProblem(
      t`its sheet “${sheet.name}” is larger than ${MOST_CELLS} cells. Name a range in it.`,
    );
  const cells: string[][] = [];
  for (let row = top; row <= bottom; row++) {
    const line: string[] = [];
    for (let column = left; column <= right; column++) {
      const cell = sheet.getCell(row, column);
      // A merged cell says what its first cell says: once is enough.
      line.push(cell.isMerged && cell.master !== cell ? "" : textOf(cell.value, cell.numFmt, shiftMs));
    }
    cells.push(line);
  }
  return tableOf(cells, firstRowNames);
}

/** Looks at the sizes in the archive before anything of it is read. @returns its workbook's own part */
function measure(bytes: Uint8Array): string {
  try {
    const parts = unzipFiles(bytes, (name) => name.startsWith("xl/") && name.endsWith(".xml"));
    return new TextDecoder().decode(parts.get("xl/workbook.xml"));
  } catch (error) {
    if (!(error instanceof FileProblem)) throw error;
    throw new TableProblem(
      error.message.startsWith("The archive would")
        ? t`it would unpack to more than is safe.`
        : t`it is not a whole XLSX file.`,
    );
  }
}

interface Area {
  readonly sheet: Worksheet;
  readonly top: number;
  readonly left: number;
  readonly bottom: number;
  readonly right: number;
}

function areaOf(workbook: Workbook, range: string): Area {
  const [first] = workbook.worksheets;
  if (!first) throw new TableProblem(t`it has no sheet.`);
  const asked = range.trim();
  if (asked === "") return wholeOf(first);
  const named = workbook.getWorksheet(asked);
  if (named) return wholeOf(named);
  const { ranges } = workbook.definedNames.getRanges(asked) as { readonly ranges?: readonly string[] };
  const written = ranges?.[0] ?? asked;
  const stroke = written.lastIndexOf("!");
  const sheetName = written.slice(0, Math.max(0, stroke)).replace(/^'|'$/g, "").replace(/''/g, "'");
  const sheet = stroke >= 0 ? workbook.getWorksheet(sheetName) : first;
  const area = AREA.exec(written.slice(stroke + 1));
  if (!sheet || !area) throw new TableProblem(t`it has no sheet or range “${asked}”.`);
  const [, fromColumn = "A", fromRow = "1", toColumn = fromColumn, toRow = fromRow] = area;
  const columns = [columnNumber(fromColumn), columnNumber(toColumn)].sort((a, b) => a - b);
  const rows = [Number(fromRow), Number(toRow)].sort((a, b) => a - b);
  return {
    sheet,
    top: rows[0] as number,
    bottom: Math.min(rows[1] as number, Math.max(sheet.rowCount, rows[0] as number)),
    left: columns[0] as number,
    right: columns[1] as number,
  };
}

const wholeOf = (sheet: Worksheet): Area => ({
  sheet,
  top: 1,
  left: 1,
  bottom: Math.max(1, sheet.rowCount),
  right: Math.max(1, sheet.columnCount),
});

const columnNumber = (letters: string): number =>
  [...letters.toUpperCase()].reduce((sum, letter) => sum * 26 + letter.charCodeAt(0) - 64, 0);

/** What cannot be read is empty. A formula that ended in an error says so, which is no value where a number belongs. */
function textOf(value: CellValue, format: string | undefined, shiftMs: number): string {
  if (value === null || value === undefined) return "";
  if (typeof value === "boolean") return value ? "yes" : "no";
  if (typeof value === "number") return numberText(value, format);
  if (typeof value === "string") return value;
  if (value instanceof Date) return dateText(new Date(value.getTime() + shiftMs));
  if ("richText" in value) return value.richText.map(({ text }) => text).join("");
  if ("error" in value) return value.error;
  if ("text" in value)
    return typeof value.text === "string" ? value.text : textOf(value.text, format, shiftMs);
  if ("result" in value) return textOf(value.result as CellValue, format, shiftMs);
  return "";
}

/** Without the noise of binary fractions: what is 0.1 + 0.2 in the sheet is 0.3 here, as it is seen there. */
function numberText(value: number, format: string | undefined): string {
  const plain = String(Number(value.toPrecision(15)));
  return format?.includes("%") ? `${Number((value * 100).toPrecision(12))} %` : plain;
}

/** Days are dates; what has no day in it is a time of day. */
function dateText(date: Date): string {
  const iso = date.toISOString();
  const time = iso.slice(11, 19);
  if (date.getTime() < Date.UTC(1900, 0, 1) || date.getUTCFullYear() < 1900) return time.replace(/:00$/, "");
  return time === "00:00:00" ? iso.slice(0, 10) : `${iso.slice(0, 10)} ${time.replace(/:00$/, "")}`;
}

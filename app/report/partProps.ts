import type { Range, Report } from "../../core/report/report.ts";
import type { Asked } from "./useReport.ts";

/** What every part of the report is made of. */
export interface PartProps {
  readonly range: Range;
  readonly asked: Asked<Report>;
}

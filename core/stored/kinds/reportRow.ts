import { type ReportRow, reportRowSchema } from "../../report/reportRow.ts";
import type { StoredKind } from "../storedKind.ts";

export const reportRowKind: StoredKind<ReportRow> = {
  name: "row of the report",
  schema: reportRowSchema,
  steps: [],
};

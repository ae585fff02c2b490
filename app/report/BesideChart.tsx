import { useCallback } from "react";
import type { Beside } from "../../core/report/beside.ts";
import type { Range } from "../../core/report/report.ts";
import { Chart, type ChartLook } from "../ui/Chart.tsx";
import type { Locale } from "../ui/format.ts";
import { timeOnAxis } from "./timeOnAxis.ts";

/** Lines are told apart by their dashes and marks, not by colour alone. */
const DASHES = ["solid", "dashed", "dotted"] as const;
const MARKS = ["circle", "rect", "triangle", "diamond"] as const;

/** Figures over time, a line for each thing that they are about. */
export function BesideChart({
  label,
  rows,
  nameOf,
  range,
  unit,
  isStepped = false,
  locale,
}: {
  label: string;
  rows: readonly Beside[];
  nameOf: (about: string) => string;
  range: Range;
  unit: (amount: number) => string;
  /** Each holds until the next. */
  isStepped?: boolean;
  locale: Locale;
}) {
  const option = useCallback(
    ({ color }: ChartLook) => {
      const abouts = [...new Set(rows.map(({ about }) => about))];
      return {
        legend: { top: 0, type: "scroll", textStyle: { color: color("paper"), fontSize: 14 } },
        tooltip: {
          trigger: "axis",
          backgroundColor: color("raised"),
          borderColor: color("edge"),
          textStyle: { color: color("paper") },
          valueFormatter: unit,
        },
        grid: { left: 8, right: 24, top: 36, bottom: 8, containLabel: true },
        xAxis: {
          type: "time",
          min: range.fromMs,
          max: range.untilMs,
          axisLabel: {
            color: color("second"),
            hideOverlap: true,
            formatter: timeOnAxis(range, locale),
          },
        },
        yAxis: {
          type: "value",
          axisLabel: { color: color("second"), formatter: unit },
          splitLine: { lineStyle: { color: color("edge") } },
        },
        series: abouts.map((about, at) => ({
          name: nameOf(about),
          type: "line",
          ...(isStepped && { step: "end" }),
          symbol: MARKS[at % MARKS.length],
          symbolSize: 8,
          lineStyle: { type: DASHES[at % DASHES.length], width: isStepped ? 2 : 0 },
          color: [color("act"), color("attention"), color("paper")][at % 3],
          data: rows.filter((row) => row.about === about).map(({ atMs, amount }) => [atMs, amount]),
        })),
      };
    },
    [rows, nameOf, range, unit, isStepped, locale],
  );
  return <Chart label={label} option={option} />;
}

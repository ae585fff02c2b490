import { useCallback } from "react";
import { t } from "../../core/language/t.ts";
import type { CueRow } from "../../core/report/asRunRow.ts";
import { Chart, type ChartLook } from "../ui/Chart.tsx";
import { formatOver } from "../ui/format.ts";

/** How much longer than planned each cue took, or shorter, in the order in which they came. */
export function OverChart({ rows }: { rows: readonly CueRow[] }) {
  const option = useCallback(
    ({ color }: ChartLook) => ({
      tooltip: {
        trigger: "axis",
        backgroundColor: color("raised"),
        borderColor: color("edge"),
        textStyle: { color: color("paper") },
        valueFormatter: (ms: number) => formatOver(ms),
      },
      grid: { left: 8, right: 24, top: 12, bottom: 8, containLabel: true },
      xAxis: {
        type: "value",
        axisLabel: { color: color("second"), formatter: formatOver },
        splitLine: { lineStyle: { color: color("edge") } },
      },
      yAxis: {
        type: "category",
        inverse: true,
        data: rows.map(({ title }) => title),
        axisLabel: { color: color("paper"), width: 170, overflow: "truncate", fontSize: 14 },
      },
      series: [
        {
          name: t`over, under`,
          type: "bar",
          barMaxWidth: 26,
          data: rows.map(({ overMs }) => ({
            value: overMs ?? 0,
            itemStyle: { color: color((overMs ?? 0) > 0 ? "attention" : "act") },
          })),
        },
      ],
    }),
    [rows],
  );
  return <Chart label={t`Over and under the plan, by cue`} option={option} />;
}

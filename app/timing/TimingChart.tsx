import { useCallback } from "react";
import { t } from "../../core/language/t.ts";
import { Chart, type ChartLook } from "../ui/Chart.tsx";
import { formatLength } from "../ui/format.ts";

export interface TimingRow {
  readonly name: string;
  readonly plannedS: number;
  readonly tookS: number;
}

const length = (seconds: number) => formatLength(seconds * 1_000);

/** Planned and actual lengths side by side, in the order of the evening. */
export function TimingChart({ rows }: { rows: readonly TimingRow[] }) {
  const option = useCallback(
    ({ color }: ChartLook) => ({
      legend: { top: 0, textStyle: { color: color("paper"), fontSize: 14 } },
      tooltip: { trigger: "axis", valueFormatter: (value: number) => length(value) },
      grid: { left: 8, right: 24, top: 36, bottom: 8, containLabel: true },
      xAxis: {
        type: "value",
        axisLabel: { color: color("second"), formatter: length },
        splitLine: { lineStyle: { color: color("edge") } },
      },
      yAxis: {
        type: "category",
        inverse: true,
        data: rows.map(({ name }) => name),
        axisLabel: { color: color("paper"), width: 150, overflow: "truncate", fontSize: 14 },
      },
      series: [
        {
          name: t`planned`,
          type: "bar",
          data: rows.map(({ plannedS }) => plannedS),
          itemStyle: { color: "transparent", borderColor: color("second"), borderWidth: 1.5 },
        },
        {
          name: t`took`,
          type: "bar",
          data: rows.map(({ tookS }) => tookS),
          itemStyle: { color: color("act") },
        },
      ],
    }),
    [rows],
  );
  return <Chart label={t`Planned and actual length of every cue`} option={option} />;
}

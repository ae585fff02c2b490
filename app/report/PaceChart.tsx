import { useCallback } from "react";
import { t } from "../../core/language/t.ts";
import type { Pace } from "../../core/report/pace.ts";
import { Chart, type ChartLook } from "../ui/Chart.tsx";
import { formatMinute, type Locale } from "../ui/format.ts";

/** How many pages came in each stretch of time, by hand and by themselves. */
export function PaceChart({ paces, locale }: { paces: readonly Pace[]; locale: Locale }) {
  const option = useCallback(
    ({ color }: ChartLook) => ({
      legend: { top: 0, textStyle: { color: color("paper"), fontSize: 14 } },
      tooltip: {
        trigger: "axis",
        backgroundColor: color("raised"),
        borderColor: color("edge"),
        textStyle: { color: color("paper") },
      },
      grid: { left: 8, right: 24, top: 36, bottom: 8, containLabel: true },
      xAxis: {
        type: "category",
        data: paces.map(({ fromMs }) => formatMinute(fromMs, locale)),
        axisLabel: { color: color("second") },
      },
      yAxis: {
        type: "value",
        minInterval: 1,
        axisLabel: { color: color("second") },
        splitLine: { lineStyle: { color: color("edge") } },
      },
      series: [
        {
          name: t`by hand`,
          type: "bar",
          stack: "pace",
          data: paces.map(({ takes, byItself }) => takes - byItself),
          itemStyle: { color: color("act") },
        },
        {
          name: t`by itself`,
          type: "bar",
          stack: "pace",
          data: paces.map(({ byItself }) => byItself),
          itemStyle: { color: color("attention") },
        },
      ],
    }),
    [paces, locale],
  );
  return <Chart label={t`How many pages came in each stretch of time`} option={option} />;
}

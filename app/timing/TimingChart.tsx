import { BarChart } from "echarts/charts";
import { GridComponent, LegendComponent, TooltipComponent } from "echarts/components";
import { type ECharts, init, use } from "echarts/core";
import { SVGRenderer } from "echarts/renderers";
import { useEffect, useRef } from "react";
import { formatLength } from "../ui/format.ts";

use([BarChart, GridComponent, LegendComponent, TooltipComponent, SVGRenderer]);

export interface TimingRow {
  readonly name: string;
  readonly plannedS: number;
  readonly tookS: number;
}

/** Planned and actual lengths side by side, in the order of the evening. */
export function TimingChart({ rows }: { rows: readonly TimingRow[] }) {
  const frame = useRef<HTMLDivElement>(null);
  const chart = useRef<ECharts>(undefined);
  useEffect(() => {
    if (!frame.current) return;
    const made = init(frame.current, null, { renderer: "svg" });
    chart.current = made;
    const observer = new ResizeObserver(() => made.resize());
    observer.observe(frame.current);
    return () => {
      observer.disconnect();
      made.dispose();
    };
  }, []);
  useEffect(() => {
    if (!frame.current) return;
    const style = getComputedStyle(frame.current);
    const color = (name: string) => style.getPropertyValue(`--color-${name}`).trim();
    const length = (seconds: number) => formatLength(seconds * 1_000);
    chart.current?.setOption({
      animation: false,
      textStyle: { fontFamily: style.fontFamily, fontSize: 14, color: color("second") },
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
          name: "planned",
          type: "bar",
          data: rows.map(({ plannedS }) => plannedS),
          itemStyle: { color: "transparent", borderColor: color("second"), borderWidth: 1.5 },
        },
        {
          name: "took",
          type: "bar",
          data: rows.map(({ tookS }) => tookS),
          itemStyle: { color: color("act") },
        },
      ],
    });
  }, [rows]);
  return (
    <div ref={frame} role="img" aria-label="Planned and actual length of every cue" className="size-full" />
  );
}

import { BarChart, CustomChart, LineChart } from "echarts/charts";
import { DataZoomComponent, GridComponent, LegendComponent, TooltipComponent } from "echarts/components";
import { type ECharts, type EChartsCoreOption, init, use } from "echarts/core";
import { SVGRenderer } from "echarts/renderers";
import { type KeyboardEvent, useEffect, useRef } from "react";
import { t } from "../../core/language/t.ts";

use([
  ...[BarChart, LineChart, CustomChart, GridComponent, LegendComponent, TooltipComponent],
  ...[DataZoomComponent, SVGRenderer],
]);

/** Colours and letters of the desk, for what a chart draws. */
export interface ChartLook {
  readonly color: (name: "paper" | "second" | "edge" | "act" | "attention" | "ground" | "raised") => string;
}

/** So much of what is in sight a key moves it by. */
const MOVED = 0.2;

/** A chart in the desk's colours. One that can be zoomed is, by wheel, by hand, and by keys: + and − and the arrows. */
export function Chart({
  label,
  option,
  isZoomed = false,
}: {
  label: string;
  option: (look: ChartLook) => EChartsCoreOption;
  isZoomed?: boolean;
}) {
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
    const color: ChartLook["color"] = (name) => style.getPropertyValue(`--color-${name}`).trim();
    chart.current?.setOption(
      {
        animation: false,
        textStyle: { fontFamily: style.fontFamily, fontSize: 14, color: color("second") },
        ...option({ color }),
      },
      { replaceMerge: ["series"] },
    );
  }, [option]);
  const zoom = (event: KeyboardEvent) => {
    const { start, end } = (
      chart.current?.getOption() as { dataZoom?: readonly { start: number; end: number }[] } | undefined
    )?.dataZoom?.[0] ?? { start: 0, end: 100 };
    const by = (end - start) * MOVED;
    const changed = {
      "+": [start + by, end - by],
      "=": [start + by, end - by],
      "-": [start - by, end + by],
      ArrowLeft: [start - Math.min(by, start), end - Math.min(by, start)],
      ArrowRight: [start + Math.min(by, 100 - end), end + Math.min(by, 100 - end)],
    }[event.key];
    if (!changed) return;
    event.preventDefault();
    event.stopPropagation();
    const [from = 0, until = 100] = changed;
    chart.current?.dispatchAction({
      type: "dataZoom",
      start: Math.max(0, from),
      end: Math.min(100, until),
    });
  };
  return (
    <div
      ref={frame}
      role="img"
      aria-label={isZoomed ? t`${label}. Plus, minus and the arrows change what is in sight.` : label}
      className="size-full"
      {...(isZoomed && { tabIndex: 0, onKeyDown: zoom })}
    />
  );
}

import type { CustomSeriesRenderItem } from "echarts";
import { useCallback } from "react";
import { t } from "../../core/language/t.ts";
import type { AsRunRow } from "../../core/report/asRunRow.ts";
import type { Range } from "../../core/report/report.ts";
import type { Output } from "../../core/venue/plan.ts";
import { useDesk } from "../desk/deskContext.ts";
import { stillAddress } from "../pictures/stillAddress.ts";
import { Chart, type ChartLook } from "../ui/Chart.tsx";
import { formatLength, formatTimeOfDay, type Locale } from "../ui/format.ts";
import { timeOnAxis } from "./timeOnAxis.ts";

const BAR_PX = 26;
const STILL_PX = 320;

/** What was on air, a bar for each page from when to when: by layer, or by cue. */
export function AirChart({
  rows,
  range,
  by,
  locale,
}: {
  rows: readonly AsRunRow[];
  range: Range;
  by: "layer" | "cue";
  locale: Locale;
}) {
  const { outputs } = useDesk("outputs");
  const option = useCallback(
    ({ color }: ChartLook) => {
      const nameOf = (row: AsRunRow) => (by === "layer" ? row.layer : row.title);
      const names = [...new Set(rows.map(nameOf))];
      const renderItem: CustomSeriesRenderItem = (_, api) => {
        const [x = 0, y = 0] = api.coord([api.value(1), api.value(0)]);
        const [end = 0] = api.coord([api.value(2), api.value(0)]);
        return {
          type: "rect",
          // What was there for a moment is seen too.
          shape: { x, y: y - BAR_PX / 2, width: Math.max(2, end - x - 1), height: BAR_PX, r: 3 },
          style: { fill: color("act"), opacity: 0.85 },
          emphasis: { style: { opacity: 1, stroke: color("paper"), lineWidth: 2 } },
          textContent: {
            type: "text",
            style: {
              text: rows[api.value(3) as number]?.[by === "layer" ? "title" : "part"] ?? "",
              fill: color("ground"),
              fontSize: 13,
              fontFamily: "inherit",
              width: Math.max(0, end - x - 8),
              overflow: "truncate",
              ellipsis: "",
            },
          },
          textConfig: { position: "insideLeft", distance: 5 },
        };
      };
      return {
        grid: { left: 8, right: 24, top: 12, bottom: 48, containLabel: true },
        dataZoom: [
          { type: "inside", filterMode: "weakFilter" },
          {
            type: "slider",
            filterMode: "weakFilter",
            height: 22,
            bottom: 8,
            textStyle: { color: color("second") },
            labelFormatter: (atMs: number) => formatTimeOfDay(atMs, locale),
            borderColor: color("edge"),
            backgroundColor: color("raised"),
            fillerColor: "transparent",
            handleStyle: { color: color("paper"), borderColor: color("second") },
            moveHandleStyle: { color: color("second"), opacity: 0.6 },
            emphasis: {
              moveHandleStyle: { color: color("paper") },
              handleStyle: { borderColor: color("paper") },
            },
          },
        ],
        tooltip: {
          confine: true,
          backgroundColor: color("raised"),
          borderColor: color("edge"),
          textStyle: { color: color("paper"), fontSize: 14 },
          formatter: ({ value }: { readonly value: readonly number[] }) => {
            const row = rows[value[3] ?? -1];
            return row ? tooltipOf(row, outputs, locale) : "";
          },
        },
        xAxis: {
          type: "time",
          min: range.fromMs,
          max: range.untilMs,
          axisLabel: { color: color("second"), hideOverlap: true, formatter: timeOnAxis(range, locale) },
          splitLine: { show: true, lineStyle: { color: color("edge") } },
        },
        yAxis: {
          type: "category",
          inverse: true,
          data: names,
          axisLabel: { color: color("paper"), width: 150, overflow: "truncate", fontSize: 14 },
        },
        series: [
          {
            type: "custom",
            renderItem,
            encode: { x: [1, 2], y: 0 },
            data: rows.map((row, at) => [
              names.indexOf(nameOf(row)),
              Math.max(row.fromMs, range.fromMs),
              Math.min(row.untilMs ?? range.untilMs, range.untilMs),
              at,
            ]),
          },
        ],
      };
    },
    [rows, range, by, locale, outputs],
  );
  return <Chart isZoomed label={t`What was on air, by ${by}`} option={option} />;
}

/** What a bar says when it is pointed at, with its picture. Words of the show are text, never markup. */
function tooltipOf(row: AsRunRow, outputs: readonly Output[], locale: Locale): HTMLElement {
  const box = document.createElement("div");
  const say = (text: string, isStrong = false) => {
    const line = document.createElement("div");
    line.textContent = text;
    if (isStrong) line.style.fontWeight = "600";
    box.append(line);
  };
  // The step alone, on the first of its screens that is there still.
  const output = outputs.find(({ id }) => row.outputIds.includes(id));
  if (output) {
    const still = document.createElement("img");
    still.src = stillAddress(row, output, STILL_PX);
    still.alt = "";
    Object.assign(still.style, { width: `${STILL_PX}px`, display: "block", marginBottom: "6px" });
    still.onerror = () => still.remove();
    box.append(still);
  }
  say([row.title, row.part].filter(Boolean).join(" · "), true);
  const lasted = row.untilMs === null ? t`on still` : formatLength(row.untilMs - row.fromMs);
  say(`${formatTimeOfDay(row.fromMs, locale)}, ${lasted}`);
  say(row.screens.join(", "));
  return box;
}

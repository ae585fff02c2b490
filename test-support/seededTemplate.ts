import { MOVING_PROPERTIES, type MovingProperty, type Track } from "../core/motion/track.ts";
import { kindOf, type LeafSpec, type SceneObject } from "../core/scene/objectKinds.ts";
import type { FillSpec } from "../core/scene/properties.ts";
import { readTemplate } from "../core/scene/readTemplate.ts";
import type { Template } from "../core/scene/template.ts";
import { group, make } from "../designs/parts.ts";
import { mulberry } from "./random.ts";

export const SEEDED_SIZE = { widthPx: 480, heightPx: 270 };
export const SEEDED_VALUES: Readonly<Record<string, string>> = {
  name: "Ilse Tarrow of the seven lamps",
  lines: "Lanterns are lit\nBoats go first\nKeep to the left",
  rows: "Ropewalk|142|up\nKiln Lane|118|down\nUpper Slip|97|same\nGannet Steps|64",
  count: "128",
  to: "9 min",
};

const PATHS = [
  "M10 80 C 40 10 65 10 95 80 S 90 95 20 95 Z",
  "M0 0 L100 0 L80 100 L20 100 Z M30 30 L70 30 L60 60 Z",
  "M5 50 a45 45 0 1 0 90 0 a45 45 0 1 0 -90 0",
];

/** A template of objects of every kind that is painted, put together by chance: the same for the same seed. */
export function seededTemplate(seed: number): Template {
  const random = mulberry(seed);
  const between = (from: number, to: number) => from + random() * (to - from);
  const whole = (from: number, to: number) => Math.round(between(from, to));
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const chance = (share: number) => random() < share;
  const color = () =>
    chance(0.5)
      ? { token: pick(["accent", "second", "panel", "words", "ground"]) }
      : `#${[0, 1, 2, 3]
          .map((i) =>
            whole(i === 3 ? 90 : 0, 255)
              .toString(16)
              .padStart(2, "0"),
          )
          .join("")}`;
  const stops = () => [
    { at: 0, color: color() },
    { at: between(0.2, 0.8), color: color() },
    { at: 1, color: color() },
  ];
  const fill = (): FillSpec =>
    pick<() => FillSpec>([
      () => ({ kind: "solid", color: color() }),
      () => ({ kind: "solid", color: color() }),
      () => ({ kind: "linear", angleDeg: whole(-180, 180), stops: stops() }),
      () => ({
        kind: "radial",
        center: { x: random(), y: random() },
        radius: between(0.2, 1),
        stops: stops(),
      }),
    ])();
  const box = () => ({
    x: whole(-20, 300),
    y: whole(-10, 170),
    width: whole(30, 260),
    height: whole(24, 150),
  });
  const shadow = () => ({
    color: color(),
    blurPx: whole(0, 24),
    offsetXPx: whole(-8, 8),
    offsetYPx: whole(-8, 8),
  });
  const track = (property: MovingProperty): Track => {
    const [from, to] =
      property === "rotationDeg" || property === "gradientDeg"
        ? [whole(-90, 90), 0]
        : property.startsWith("offset")
          ? [whole(-60, 60), 0]
          : property.startsWith("clip") || ["blur", "tint", "color"].includes(property)
            ? [random(), 0]
            : [between(0.2, 1), 1];
    return {
      property,
      keyframes: [
        { atMs: 0, value: from, easing: "linear" },
        { atMs: 1_000, value: to, easing: "linear" },
      ],
    };
  };
  const motionFor = (moves: readonly MovingProperty[]) => {
    const wanted = MOVING_PROPERTIES.filter((property) => moves.includes(property) && chance(0.25));
    return { enter: wanted.map(track), blurPx: whole(2, 14), tint: color(), color: color() };
  };
  const common = (id: string) => ({
    id,
    box: box(),
    opacity: chance(0.3) ? between(0.3, 1) : 1,
    rotationDeg: chance(0.2) ? whole(-40, 40) : 0,
    pivot: chance(0.3) ? { x: random(), y: random() } : { x: 0.5, y: 0.5 },
  });
  const drawn = () => ({
    fill: fill(),
    stroke: chance(0.4) ? { color: color(), widthPx: whole(1, 8) } : null,
    shadows: chance(0.4) ? [shadow()] : [],
    blurPx: chance(0.1) ? whole(1, 8) : 0,
    softEdgePx: chance(0.1) ? whole(4, 30) : 0,
  });
  const letters = () => ({
    minSizePx: 8,
    maxSizePx: whole(14, 48),
    align: pick(["start", "center", "end"] as const),
  });
  const leaf = (id: string): LeafSpec => {
    const at = common(id);
    const corners = chance(0.5)
      ? whole(0, 40)
      : ([whole(0, 30), whole(0, 30), whole(0, 30), whole(0, 30)] as [number, number, number, number]);
    const words = { kind: "field" as const, field: "name" };
    return pick<() => LeafSpec>([
      () => make("rectangle", { ...at, ...drawn(), corners }),
      () => make("ellipse", { ...at, ...drawn() }),
      () =>
        make("line", {
          ...at,
          stroke: { color: color(), widthPx: whole(1, 9) },
          dashPx: chance(0.4) ? [12, 8] : [],
        }),
      () =>
        make("polygon", {
          ...at,
          ...drawn(),
          points: Array.from({ length: whole(3, 7) }, () => ({ x: random(), y: random() })),
        }),
      () => make("path", { ...at, ...drawn(), path: pick(PATHS) }),
      () =>
        make("text", {
          ...at,
          ...letters(),
          ...drawn(),
          words,
          mode: pick(["fit", "wrap", "condense", "clip"] as const),
          revealBy: pick(["whole", "whole", "word", "line"] as const),
        }),
      () =>
        make("list", {
          ...at,
          ...letters(),
          ...drawn(),
          words: { kind: "field", field: "lines" },
          markerColor: color(),
        }),
      () => make("figures", { ...at, ...letters(), fill: fill(), shows: { kind: "number", field: "count" } }),
      () =>
        make("gauge", {
          ...at,
          shows: { kind: "number", field: "count" },
          fullAt: 200,
          form: { kind: "ring", thicknessPx: whole(4, 30), sweepDeg: whole(60, 360) },
          fill: fill(),
          track: fill(),
        }),
      () =>
        make("table", {
          ...at,
          ...letters(),
          field: "rows",
          fill: fill(),
          rowHeightPx: 28,
          rowFill: fill(),
          corners: 6,
          rankColor: color(),
          columns: [{ share: 1 }, { share: null, align: "end" }, { share: null, shows: "mark" }],
        }),
      () =>
        make("bars", {
          ...at,
          ...letters(),
          field: "rows",
          fill: fill(),
          rowHeightPx: 28,
          valueWidthPx: 50,
          barFill: fill(),
          trackFill: fill(),
          corners: 8,
        }),
      () =>
        make("chart", {
          ...at,
          ...letters(),
          field: "rows",
          form: pick(["columns", "lines"] as const),
          colors: [color(), color()],
          fill: fill(),
          labelHeightPx: 20,
          dotPx: 8,
          lineWidthPx: 4,
        }),
    ])();
  };
  const moving = (object: LeafSpec): LeafSpec =>
    make(object.kind, {
      ...object,
      motion: motionFor([...ALWAYS, ...kindOf(object).moves]),
    } as never) as LeafSpec;
  const objects: SceneObject[] = Array.from({ length: whole(2, 5) }, (_, i) => {
    if (!chance(0.2)) return moving(leaf(`o${i}`));
    return group(`g${i}`, box(), [moving(leaf(`g${i}a`)), moving(leaf(`g${i}b`))], {
      blend: pick(["normal", "normal", "multiply", "screen"] as const),
      clip: pick([
        { kind: "none" as const },
        { kind: "box" as const, corners: 20 },
        { kind: "ellipse" as const },
      ]),
      opacity: chance(0.5) ? between(0.3, 1) : 1,
      motion: motionFor([...ALWAYS, "blur", "tint", "width", "height"]),
    });
  });
  const template = {
    kind: "template",
    format: 2,
    name: `seed ${seed}`,
    fieldSet: "name",
    canvas: SEEDED_SIZE,
    objects,
  };
  const read = readTemplate(JSON.stringify(template));
  if ("problem" in read) throw new Error(`seed ${seed}: ${read.problem}`);
  if (read.problems.length > 0) throw new Error(`seed ${seed}: ${read.problems.join(" ")}`);
  return read.template;
}

const ALWAYS: readonly MovingProperty[] = [
  "offsetXPx",
  "offsetYPx",
  "scale",
  "rotationDeg",
  "opacity",
  "clipLeft",
  "clipBottom",
];

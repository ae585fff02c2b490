import { useId, useRef } from "react";
import { t } from "../../../core/language/t.ts";
import { type Easing, easeAt } from "../../../core/motion/easing.ts";
import { EASINGS } from "./motionWords.ts";
import { FigureBox } from "./properties/FigureBox.tsx";
import { boxClass } from "./properties/styles.ts";

/** The drawing's own size, and how far beyond 0 and 1 it shows, as a share. */
const SIZE = 96;
const BEYOND = 0.35;
const HEIGHT = SIZE * (1 + 2 * BEYOND);
const DRAWN_POINTS = 60;

const xOf = (t: number) => t * SIZE;
const yOf = (value: number) => HEIGHT - (value + BEYOND) * SIZE;

type Bezier = Extract<Easing, { readonly kind: "bezier" }>;
type Point = "1" | "2";

/** How a value travels, chosen by its name or drawn as a curve. */
export function EasingField({ easing, onChange }: { easing: Easing; onChange: (easing: Easing) => void }) {
  const id = useId();
  const written = JSON.stringify(easing);
  const isNamed = EASINGS.some((each) => JSON.stringify(each.easing) === written);
  const bezier = typeof easing === "object" && easing.kind === "bezier" ? easing : undefined;
  const drawOwn = () => onChange(bezier ?? { kind: "bezier", x1: 0.25, y1: 0.1, x2: 0.25, y2: 1 });
  return (
    <div className="flex items-start gap-2">
      <Curve easing={easing} bezier={bezier} onChange={onChange} />
      <div className="flex min-w-0 flex-1 flex-col gap-1">
        <label htmlFor={id} className="text-[14px] text-second">
          {t`On its way to the next`}
        </label>
        <select
          id={id}
          value={isNamed ? written : "own"}
          onChange={({ target }) =>
            target.value === "own" ? drawOwn() : onChange(JSON.parse(target.value) as Easing)
          }
          className={boxClass}
        >
          {EASINGS.map((each) => (
            <option key={each.words} value={JSON.stringify(each.easing)}>
              {each.words}
            </option>
          ))}
          {/* A named curve is drawn on by its handles. */}
          {!(isNamed && bezier) && <option value="own">{t`a curve of its own`}</option>}
        </select>
        {bezier && (
          <div className="grid grid-cols-2 gap-1">
            {(["x1", "y1", "x2", "y2"] as const).map((name) => (
              <FigureBox
                key={name}
                label={t`Curve, ${name}`}
                value={bezier[name]}
                min={name.startsWith("x") ? 0 : -5}
                max={name.startsWith("x") ? 1 : 5}
                unit={name}
                onSave={(value) => onChange({ ...bezier, [name]: value })}
              />
            ))}
          </div>
        )}
      </div>
    </div>
  );
}

function Curve({
  easing,
  bezier,
  onChange,
}: {
  easing: Easing;
  bezier: Bezier | undefined;
  onChange: (easing: Easing) => void;
}) {
  const svg = useRef<SVGSVGElement>(null);
  const points = Array.from({ length: DRAWN_POINTS + 1 }, (_, i) => {
    const t = i / DRAWN_POINTS;
    return `${xOf(t).toFixed(1)},${yOf(easeAt(easing, t)).toFixed(1)}`;
  });
  const set = (point: Point, x: number, y: number) => {
    if (!bezier) return;
    const hundredths = (value: number) => Math.round(value * 100) / 100;
    onChange({
      ...bezier,
      [`x${point}`]: hundredths(Math.min(1, Math.max(0, x))),
      [`y${point}`]: hundredths(Math.min(1 + BEYOND, Math.max(-BEYOND, y))),
    });
  };
  const drag = (point: Point) => (event: React.PointerEvent) => {
    if (!svg.current || !event.currentTarget.hasPointerCapture(event.pointerId)) return;
    const box = svg.current.getBoundingClientRect();
    set(
      point,
      (event.clientX - box.left) / box.width,
      (1 - (event.clientY - box.top) / box.height) * (1 + 2 * BEYOND) - BEYOND,
    );
  };
  const press = (point: Point) => (event: React.KeyboardEvent) => {
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[event.key];
    if (!by || !bezier) return;
    event.preventDefault();
    event.stopPropagation();
    const step = event.shiftKey ? 0.1 : 0.01;
    set(point, bezier[`x${point}`] + (by[0] ?? 0) * step, bezier[`y${point}`] + (by[1] ?? 0) * step);
  };
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${SIZE} ${HEIGHT}`}
      className="w-24 shrink-0 touch-none rounded-md border border-edge bg-ground"
    >
      <title>{t`The curve from one keyframe to the next`}</title>
      <path
        d={`M0 ${yOf(0)} H${SIZE} M0 ${yOf(1)} H${SIZE}`}
        className="stroke-edge-strong"
        strokeDasharray="2 3"
      />
      <polyline points={points.join(" ")} fill="none" strokeWidth={2} className="stroke-act" />
      {bezier &&
        (["1", "2"] as const).map((point) => {
          const [x, y] = [xOf(bezier[`x${point}`]), yOf(bezier[`y${point}`])];
          const end = point === "1" ? [xOf(0), yOf(0)] : [xOf(1), yOf(1)];
          return (
            <g key={point}>
              <line x1={end[0]} y1={end[1]} x2={x} y2={y} className="stroke-second" />
              <circle
                cx={x}
                cy={y}
                r={5}
                role="slider"
                tabIndex={0}
                aria-label={point === "1" ? t`First handle of the curve` : t`Second handle of the curve`}
                aria-valuenow={bezier[`y${point}`]}
                aria-valuetext={`${bezier[`x${point}`]}, ${bezier[`y${point}`]}`}
                onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
                onPointerMove={drag(point)}
                onKeyDown={press(point)}
                className="cursor-grab fill-paper outline-offset-2"
              />
            </g>
          );
        })}
    </svg>
  );
}

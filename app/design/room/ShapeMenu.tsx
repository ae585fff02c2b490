import { Popover } from "radix-ui";
import { useState } from "react";
import { addShape, giveBack, MOST_SHAPES, removeShape } from "../../../core/design/edit/inShape.ts";
import { t } from "../../../core/language/t.ts";
import { shapesApart } from "../../../core/scene/shapes.ts";
import type { Template } from "../../../core/scene/template.ts";
import { FigureBox } from "./properties/FigureBox.tsx";
import { boxClass, smallButton } from "./properties/styles.ts";

/** Shapes of screens that are met most. */
const USUAL = [
  { name: t`Wide`, widthPx: 1920, heightPx: 1080 },
  { name: t`Portrait`, widthPx: 1080, heightPx: 1920 },
  { name: t`Square`, widthPx: 1080, heightPx: 1080 },
  { name: t`Ribbon`, widthPx: 1920, heightPx: 360 },
  { name: t`Four to three`, widthPx: 1440, heightPx: 1080 },
] as const;

/** Which shape of the template is on the canvas, and which it has. */
export function ShapeMenu({
  template,
  shape,
  onShape,
  onEdit,
}: {
  template: Template;
  /** 0: its own canvas. */
  shape: number;
  onShape: (shape: number) => void;
  onEdit: (label: string, change: (from: Template) => Template) => void;
}) {
  const [size, setSize] = useState({ widthPx: 1280, heightPx: 720 });
  const { canvas, shapes } = template;
  const shown = shapes[shape - 1];
  const all = [canvas, ...shapes.map((each) => each.canvas)];
  const has = (wanted: Template["canvas"]) => all.some((each) => shapesApart(each, wanted) < 0.01);
  const add = (name: string, wanted: Template["canvas"]) => {
    onEdit(t`Add a shape`, (from) => addShape(from, name, wanted));
    onShape(shapes.length + 1);
  };
  const isFull = shapes.length >= MOST_SHAPES;
  return (
    <span className="flex items-center gap-1">
      <label className="flex items-center gap-2">
        {t`Shape`}
        <select
          value={shape}
          onChange={({ target }) => onShape(Number(target.value))}
          className="min-h-8 rounded-md border border-edge-strong bg-ground px-2"
        >
          <option value={0}>{t`own, ${canvas.widthPx} × ${canvas.heightPx}`}</option>
          {shapes.map((each, i) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a shape is its place
            <option key={i} value={i + 1}>
              {each.name}, {each.canvas.widthPx} × {each.canvas.heightPx}
            </option>
          ))}
        </select>
      </label>
      <Popover.Root>
        <Popover.Trigger className={smallButton}>{t`Shapes…`}</Popover.Trigger>
        <Popover.Portal>
          <Popover.Content
            align="end"
            sideOffset={6}
            aria-label={t`Shapes`}
            className="z-30 flex w-80 flex-col gap-2 rounded-lg border border-edge-strong bg-raised p-3 text-[14px] shadow-xl"
          >
            <p className="text-second">
              {t`A screen shows the shape that is nearest to its own. Fields, looks and motion are the same in all.`}
            </p>
            <span className="flex flex-wrap gap-1.5">
              {USUAL.filter((each) => !has(each)).map(({ name, widthPx, heightPx }) => (
                <button
                  key={name}
                  type="button"
                  disabled={isFull}
                  onClick={() => add(name, { widthPx, heightPx })}
                  className={smallButton}
                >
                  {t`Add ${name.toLowerCase()}, ${widthPx} × ${heightPx}`}
                </button>
              ))}
            </span>
            <span className="grid grid-cols-[1fr_1fr_auto] items-center gap-1.5">
              <FigureBox
                label={t`Width of the new shape`}
                value={size.widthPx}
                min={16}
                max={16_000}
                isWhole
                unit="px"
                onSave={(widthPx) => setSize({ ...size, widthPx })}
              />
              <FigureBox
                label={t`Height of the new shape`}
                value={size.heightPx}
                min={16}
                max={16_000}
                isWhole
                unit="px"
                onSave={(heightPx) => setSize({ ...size, heightPx })}
              />
              <button
                type="button"
                disabled={isFull || has(size)}
                onClick={() => add(`${size.widthPx} × ${size.heightPx}`, size)}
                className={smallButton}
              >
                {t`Add`}
              </button>
            </span>
            {has(size) && (
              <p className="text-second">
                {t`It has a shape like ${size.widthPx} × ${size.heightPx} already.`}
              </p>
            )}
            {shown && (
              <>
                <hr className="border-edge" />
                <label>
                  {t`Name of this shape`}
                  <input
                    key={shown.name}
                    defaultValue={shown.name}
                    maxLength={80}
                    onBlur={({ target }) => {
                      const name = target.value.trim();
                      if (name && name !== shown.name)
                        onEdit(t`Rename a shape`, (from) => ({
                          ...from,
                          shapes: from.shapes.map((each, i) => (i === shape - 1 ? { ...each, name } : each)),
                        }));
                    }}
                    className={`${boxClass} mt-0.5`}
                  />
                </label>
                <button
                  type="button"
                  disabled={Object.keys(shown.objects).length === 0}
                  onClick={() => onEdit(t`Arrange a shape by itself`, (from) => giveBack(from, shape))}
                  className={`${smallButton} self-start`}
                >
                  {t`Arrange all of it by itself again`}
                </button>
                <button
                  type="button"
                  onClick={() => {
                    onShape(0);
                    onEdit(t`Delete a shape`, (from) => removeShape(from, shape));
                  }}
                  className={`${smallButton} self-start`}
                >
                  {t`Delete this shape`}
                </button>
              </>
            )}
          </Popover.Content>
        </Popover.Portal>
      </Popover.Root>
    </span>
  );
}

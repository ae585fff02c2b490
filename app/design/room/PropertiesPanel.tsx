import { Fragment, type ReactNode } from "react";
import type { Rect } from "../../../core/design/edit/objects.ts";
import { t } from "../../../core/language/t.ts";
import { groupShape } from "../../../core/scene/kinds/group.ts";
import type { Motion } from "../../../core/scene/motion.ts";
import { OBJECT_KINDS, type ReadableObject } from "../../../core/scene/objectKinds.ts";
import type { TextSize } from "../../../core/scene/part.ts";
import { PROPERTY_GROUPS } from "../../../core/scene/properties.ts";
import { type Property, propertiesOf } from "../../../core/scene/propertiesOf.ts";
import { type Shape, shapeOf } from "../../../core/scene/schemaShape.ts";
import type { ShowWhen } from "../../../core/scene/showWhen.ts";
import type { Template } from "../../../core/scene/template.ts";
import { MotionFields } from "./MotionFields.tsx";
import { FigureBox } from "./properties/FigureBox.tsx";
import { ShapeField } from "./properties/ShapeField.tsx";
import { ReadyShadows } from "./ReadyShadows.tsx";
import { ShowWhenFields } from "./ShowWhenFields.tsx";

/** Set by hands of their own, in their own places. */
const OWN_PLACE = new Set(["box", "rotationDeg", "editing", "showWhen"]);

/** Everything of an object, in groups; where it stands first. */
export function PropertiesPanel({
  object,
  box,
  canvas,
  text,
  contrast,
  onChange,
  onPlace,
}: {
  object: ReadableObject;
  box: Rect | undefined;
  canvas: Template["canvas"];
  /** How large its words are on the canvas. */
  text: TextSize | undefined;
  /** How well they are read. */
  contrast: ReactNode;
  onChange: (title: string, name: string, value: unknown) => void;
  onPlace: (to: Rect) => void;
}) {
  const properties = propertiesOf(object.kind);
  const schema: Readonly<Record<string, unknown>> =
    object.kind === "group"
      ? groupShape
      : (OBJECT_KINDS[object.kind].schema as unknown as { shape: Record<string, unknown> }).shape;
  const value = object as unknown as Readonly<Record<string, unknown>>;
  return (
    <div className="flex flex-col">
      {PROPERTY_GROUPS.map((group) => {
        const own = properties.filter(
          (property) => property.group === group && !OWN_PLACE.has(property.name),
        );
        if (own.length === 0 && group !== "Place" && group !== "Content") return null;
        return (
          <details key={group} open={group !== "Time" && group !== "Notes"} className="border-b border-edge">
            <summary className="cursor-pointer px-3 py-2 text-[15px] font-semibold hover:bg-lifted">
              {group}
            </summary>
            <div className="flex flex-col gap-2 px-3 pb-3">
              {group === "Place" && box && (
                <PlaceFields
                  box={box}
                  canvas={canvas}
                  angle={typeof object.rotationDeg === "number" ? object.rotationDeg : 0}
                  onPlace={onPlace}
                  onTurn={(deg) => onChange(t`Angle`, "rotationDeg", deg)}
                />
              )}
              {group === "Motion" && (
                <MotionFields
                  motion={object.motion as Motion}
                  onChange={(motion) => onChange(t`Motion`, "motion", motion)}
                />
              )}
              {group === "Letters" && text && (
                <>
                  <p className="text-[14px] text-paper" aria-live="polite">
                    {t`On the canvas: ${Math.round(text.sizePx * 10) / 10} px`}
                    {text.condensed < 1 && t`, narrowed to ${Math.floor(text.condensed * 100)} %`}
                    {!text.fits && <span className="text-attention">{t`, and not all of it fits`}</span>}
                  </p>
                  {contrast}
                </>
              )}
              {own.map((property) => (
                <Fragment key={property.name}>
                  {property.name === "shadows" && (
                    <ReadyShadows
                      value={value.shadows}
                      onChange={(shadows) => onChange(t`Shadows`, "shadows", shadows)}
                    />
                  )}
                  <PropertyField
                    property={property}
                    shape={shapeOf(schema[property.name] as Parameters<typeof shapeOf>[0], property.name)}
                    value={value[property.name]}
                    onChange={(next) => onChange(property.title, property.name, next)}
                  />
                </Fragment>
              ))}
              {group === "Content" && (
                <ShowWhenFields
                  objectId={object.id}
                  showWhen={object.showWhen as ShowWhen}
                  onChange={(showWhen) => onChange(t`Shown when`, "showWhen", showWhen)}
                />
              )}
            </div>
          </details>
        );
      })}
    </div>
  );
}

/** What is said in several parts is folded away while it is as usual. */
function PropertyField({
  property: { title, unit, usual },
  shape,
  value,
  onChange,
}: {
  property: Property;
  shape: Shape;
  value: unknown;
  onChange: (value: unknown) => void;
}) {
  const field = <ShapeField shape={shape} value={value} title={title} unit={unit} onChange={onChange} />;
  if (shape.kind !== "record") return field;
  return (
    <details open={JSON.stringify(value) !== JSON.stringify(usual)}>
      <summary className="cursor-pointer py-1 text-[14px] text-second hover:text-paper">{title}</summary>
      <div className="mt-1 ml-1.5 border-l border-edge pl-3">{field}</div>
    </details>
  );
}

function PlaceFields({
  box,
  canvas,
  angle,
  onPlace,
  onTurn,
}: {
  box: Rect;
  canvas: Template["canvas"];
  angle: number;
  onPlace: (to: Rect) => void;
  onTurn: (deg: number) => void;
}) {
  const side = (name: keyof Rect, label: string, whole: number, min: number | null) => (
    <span className="flex items-center gap-1.5">
      <span aria-hidden="true" className="w-5 text-[14px] text-second">
        {label}
      </span>
      <FigureBox
        label={LABELS[name]}
        value={box[name]}
        min={min}
        max={20_000}
        whole={whole}
        onSave={(px) => onPlace({ ...box, [name]: px })}
      />
    </span>
  );
  return (
    <div className="grid grid-cols-2 gap-1.5">
      {side("x", "X", canvas.widthPx, -20_000)}
      {side("y", "Y", canvas.heightPx, -20_000)}
      {side("width", "W", canvas.widthPx, 0)}
      {side("height", "H", canvas.heightPx, 0)}
      <span className="flex items-center gap-1.5">
        <span aria-hidden="true" className="w-5 text-[14px] text-second">
          ∠
        </span>
        <FigureBox label={t`Angle`} value={angle} min={-360} max={360} unit="°" whole={360} onSave={onTurn} />
      </span>
    </div>
  );
}

const LABELS: Readonly<Record<keyof Rect, string>> = {
  x: t`From the left`,
  y: t`From the top`,
  width: t`Width`,
  height: t`Height`,
};

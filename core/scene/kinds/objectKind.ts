import type { z } from "zod";
import { type MovingProperty, PAINTED_MOVES } from "../../motion/track.ts";
import type { Resolved } from "../../names/measure.ts";
import type { Adjustment } from "../adjustment.ts";
import type { FieldValues } from "../lookup.ts";
import type { ObjectContext } from "../objectContext.ts";
import type { Part } from "../part.ts";
import type { Box, CommonObject, CommonSpec } from "../properties.ts";

/** A kind of object: what is written of one, what becomes of it, and what the rest of the program may do with it. */
export interface ObjectKind<S extends z.ZodType<CommonSpec & { kind: string }> = never> {
  /** What people see it called. */
  readonly name: string;
  readonly schema: S;
  /** Tracks that do something to it besides those of every kind. */
  readonly moves: readonly MovingProperty[];
  /** It goes on to the edges of a screen of another shape where it spans its canvas. */
  readonly bleeds: boolean;
  /** One side of its box may be nothing. */
  readonly mayBeFlat: boolean;
  /** The field it shows, by which a page adjusts it; null: it is adjusted by its own name. */
  readonly fieldOf: (object: z.infer<S>) => string | null;
  /** Whether there is nothing of it to see with these values. */
  readonly isBlank: (object: z.infer<S>, values: FieldValues) => boolean;
  /** As a page wants it: moved, sized, and what else of it a page may decide. */
  readonly adjust: (object: Resolved<z.infer<S>>, adjustment: Adjustment) => Resolved<z.infer<S>>;
  /** Its parts in output pixels. What cannot be drawn is left out and reported. */
  readonly layOut: (object: Resolved<z.infer<S>>, context: ObjectContext) => Part[];
}

/** A kind, with what is usual where it is not said. */
export function defineKind<S extends z.ZodType<CommonSpec & { kind: string }>>(
  kind: Pick<ObjectKind<S>, "name" | "schema" | "layOut"> & Partial<ObjectKind<S>>,
): ObjectKind<S> {
  return {
    moves: PAINTED_MOVES,
    bleeds: false,
    mayBeFlat: false,
    fieldOf: () => null,
    isBlank: () => false,
    adjust: (object, adjustment) => ({ ...object, box: adjustedBox(object, adjustment) }),
    ...kind,
  };
}

type Boxed = Pick<CommonObject, "box" | "pivot">;
export const movedBox = ({ box }: Boxed, { xPx, yPx }: Adjustment): Box => ({
  ...box,
  x: box.x + xPx,
  y: box.y + yPx,
});

/** A box moved, and grown around its pivot. */
export function adjustedBox({ box, pivot }: Boxed, { xPx, yPx, scale }: Adjustment): Box {
  return {
    x: box.x + xPx + box.width * (1 - scale) * pivot.x,
    y: box.y + yPx + box.height * (1 - scale) * pivot.y,
    width: box.width * scale,
    height: box.height * scale,
  };
}

interface Sized extends Boxed {
  readonly minSizePx: number;
  readonly maxSizePx: number;
}
/** What sets words keeps its box, unless it is made wider: its letters grow. */
export const adjustedLetters = <T extends Sized>(object: T, adjustment: Adjustment): T => ({
  ...object,
  box: widenedBox(movedBox(object, adjustment), object.pivot.x, adjustment.wide ?? 1),
  minSizePx: object.minSizePx * adjustment.scale,
  maxSizePx: object.maxSizePx * adjustment.scale,
  ...(adjustment.shade !== undefined && { shadows: shadeOf(adjustment.shade) }),
});

const widenedBox = (box: Box, pivot: number, times: number): Box => ({
  ...box,
  x: box.x + box.width * (1 - times) * pivot,
  width: box.width * times,
});

/** Two soft shadows in the place of its own: near its letters and wide about them. */
const shadeOf = (color: string) => [
  { color, blurPx: 36, offsetXPx: 0, offsetYPx: 0 },
  { color, blurPx: 14, offsetXPx: 0, offsetYPx: 0 },
  { color, blurPx: 6, offsetXPx: 0, offsetYPx: 0 },
];

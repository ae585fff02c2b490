import { z } from "zod";
import { byNameSchema, nameSchema } from "../names/name.ts";
import { FRAME_RATES, type FrameRateName } from "../time/timecode.ts";

const frameRateNames = Object.keys(FRAME_RATES) as [FrameRateName, ...FrameRateName[]];

const edge = z.number().int().min(0).max(2_000);
const offset = z.number().min(-4_000).max(4_000);
const point = z.strictObject({ xPx: offset, yPx: offset });

/** How the finished picture is put onto the glass: turned, mirrored, kept off the edges, pinned by its corners. */
export const fittingSchema = z.strictObject({
  turnDeg: z.union([z.literal(0), z.literal(90), z.literal(180), z.literal(270)]),
  /** For projection from behind. */
  mirrored: z.boolean(),
  marginsPx: z.strictObject({ top: edge, right: edge, bottom: edge, left: edge }),
  /** How far each corner is moved, clockwise from the top left. */
  corners: z.tuple([point, point, point, point]).nullable(),
});
export type Fitting = z.infer<typeof fittingSchema>;
export const NO_FITTING: Fitting = {
  turnDeg: 0,
  mirrored: false,
  marginsPx: { top: 0, right: 0, bottom: 0, left: 0 },
  corners: null,
};

const NO_TRIM = { brightness: 1, gamma: 1 };

/** The room the screens stand in. */
export const venueSchema = z.strictObject({
  widthM: z.number().min(2).max(500),
  depthM: z.number().min(2).max(500),
});
export type Venue = z.infer<typeof venueSchema>;

/** A picture of the library, as one covers an output with it. */
export const shownPictureSchema = z.strictObject({
  file: z.string().regex(/^[0-9a-f]{64}$/),
  widthPx: z.number().int().min(1).max(32_768),
  heightPx: z.number().int().min(1).max(32_768),
});

/** One screen: its own size and shape. */
export const outputSchema = z.strictObject({
  id: nameSchema(60),
  name: z.string().min(1).max(60),
  widthPx: z.number().int().min(16).max(16_000),
  heightPx: z.number().int().min(16).max(16_000),
  backdrop: z.enum(["opaque", "transparent"]),
  /** What crawl speeds in px per frame are counted in. */
  frameRate: z.enum(frameRateNames),
  /** The picture, or one half of it for an external keyer: its colours, or its alpha as white; both: side by side. */
  signal: z.enum(["picture", "fill", "key", "both"]),
  /** Colours of a fill as they are over black, or undimmed by their alpha, as some keyers want them. */
  fillAlpha: z.enum(["premultiplied", "straight"]).default("premultiplied"),
  /** Whether clips are heard here. */
  sound: z.boolean(),
  /** Whether the program picture lies beneath all layers here. */
  program: z.boolean(),
  /** The part of a larger canvas that this output shows, such as one half of a wall; null: a canvas of its own. */
  region: z
    .strictObject({
      canvasWidthPx: z.number().int().min(16).max(16_000),
      canvasHeightPx: z.number().int().min(16).max(16_000),
      /** Top left of the output on the canvas. Outputs may overlap, or leave a gap. */
      xPx: z.number().int().min(-16_000).max(16_000),
      yPx: z.number().int().min(-16_000).max(16_000),
    })
    .nullable()
    .default(null),
  fitting: fittingSchema.default(NO_FITTING),
  /** Corrections of the device: light times brightness, then to the power of 1 / gamma. */
  trim: z
    .strictObject({ brightness: z.number().min(0.2).max(2), gamma: z.number().min(0.4).max(2.5) })
    .default(NO_TRIM),
  /** What a window shows that starts while there is no server. */
  standBy: z
    .discriminatedUnion("show", [
      z.strictObject({ show: z.literal("last") }),
      z.strictObject({ show: z.literal("nothing") }),
      z.strictObject({ show: z.literal("picture"), ...shownPictureSchema.shape }),
    ])
    .default({ show: "last" }),
  /** Black and the stand-by of all screens leave it be; null: where it wears an outfit for the stage. */
  spared: z.boolean().nullable().default(null),
  /** Which safe-area standard its test picture shows. */
  safeArea: z.enum(["smpte", "ebu"]).default("smpte"),
  /** Distance of the farthest seat and height of the picture, m; null when not said. */
  farthestM: z.number().min(0.5).max(500).nullable().default(null),
  pictureHeightM: z.number().min(0.1).max(100).nullable().default(null),
  /** Where it stands in the room, m from the left and from the front, and where it faces: 0 away from the front. */
  place: z
    .strictObject({
      xM: z.number().min(0).max(500),
      yM: z.number().min(0).max(500),
      facingDeg: z.number().min(0).max(359),
    })
    .nullable()
    .default(null),
});
export type Output = z.infer<typeof outputSchema>;

/** For every output: which layers it shows, from the back to the front, and in which outfit. */
export const screenPlanSchema = z.strictObject({
  id: nameSchema(60),
  name: z.string().max(60),
  outputs: byNameSchema(
    z.strictObject({ outfitId: nameSchema(60), layerIds: z.array(nameSchema(40)).max(40) }),
  ),
});
export type ScreenPlan = z.infer<typeof screenPlanSchema>;

/** How long an effect may take: a moment is forgotten ten seconds after it began. */
export const effectMsSchema = z.number().int().min(40).max(8_000);

/** One of the layers that pages lie on. Persistent: survives "clear". */
export const LAYER_TURNS = ["hand", "song", "section"] as const;
export const layerSchema = z.strictObject({
  id: nameSchema(40),
  name: z.string().min(1).max(40),
  persistent: z.boolean(),
  /** How the take key brings a page onto it. */
  how: z.enum(["animated", "dissolve", "cut"]).default("animated"),
  opacity: z.number().min(0).max(1).default(1),
  /** How long pages take to arrive on it, unless they say it themselves; null: as their templates have it. */
  effectMs: effectMsSchema.nullable().default(null),
  /** What brings the next of its cues besides a hand: each song or reading, or each section of one. */
  turns: z.enum(LAYER_TURNS).default("hand"),
});
export type Layer = z.infer<typeof layerSchema>;

/** Pixels of a whole window of the output: fill and key stand side by side. */
export function pictureSize({ widthPx, heightPx, signal }: Output): {
  readonly widthPx: number;
  readonly heightPx: number;
} {
  return { widthPx: signal === "both" ? widthPx * 2 : widthPx, heightPx };
}

/** An output as large as its canvas. */
export interface Canvas extends Output {
  /** The part of it that the output shows; absent: all. */
  readonly part?: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
}

/** The output as pages are laid out for it: as large as the canvas of which it shows a part. */
export function canvasOf(output: Output): Canvas {
  const { region, widthPx: width, heightPx: height } = output;
  if (!region) return output;
  const { canvasWidthPx, canvasHeightPx, xPx, yPx } = region;
  const part = { x: xPx, y: yPx, width, height };
  return { ...output, widthPx: canvasWidthPx, heightPx: canvasHeightPx, part };
}

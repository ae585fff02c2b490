import { z } from "zod";
import { charactersOf, widestOf } from "../../figures/figures.ts";
import { t } from "../../language/t.ts";
import { figuresShowsSchema, figuresValueOf, shownField } from "../figuresValue.ts";
import { inCase } from "../letterCase.ts";
import { makePart, placeBox, resolveFonts, resolvePaint } from "../objectContext.ts";
import { common, drawn, letters, named, verticalAlignProperty } from "../properties.ts";
import { setFigures } from "../setFigures.ts";
import { adjustedLetters, defineKind } from "./objectKind.ts";

const { softEdgePx: _soft, matte: _matte, ...painted } = drawn;
const schema = z.strictObject({
  ...common,
  ...painted,
  ...letters,
  kind: z.literal("figures"),
  shows: named(figuresShowsSchema, "Content", "Shows"),
  verticalAlign: verticalAlignProperty,
});

/** A text that the time decides: a clock, a countdown, a number that counts up to its value. */
export const figuresKind = defineKind({
  name: t`clock or number`,
  schema,
  fieldOf: ({ shows }) => shownField(shows),
  isBlank: ({ shows }, values) => {
    const field = shownField(shows);
    return field !== null && (values[field] ?? "").trim() === "";
  },
  adjust: adjustedLetters,
  layOut: (object, context) => {
    const { at, local } = placeBox(object.box, context.place);
    const value = figuresValueOf(object.shows, object.id, context);
    const { scale } = context.place;
    const { letterCase } = object;
    // Whichever letters may come, as they are typed and as they are set.
    const characters = charactersOf(value);
    const set = setFigures(
      characters + inCase(characters, letterCase) + inCase(characters, "upper"),
      inCase(widestOf(value), letterCase),
      {
        box: local,
        fonts: resolveFonts(object, context),
        trackingEm: object.trackingEm,
        minSizePx: object.minSizePx * scale,
        maxSizePx: object.maxSizePx * scale,
        verticalAlign: object.verticalAlign,
      },
      resolvePaint(object, local, context),
      context.shaper,
      object.blurPx * scale,
    );
    context.reportText({ objectId: object.id, sizePx: set.sizePx, condensed: 1, fits: true });
    return [
      makePart(object, context, at, {
        kind: "figures",
        value,
        figures: set.figures,
        widthPx: local.width,
        align: object.align,
        letterCase,
        box: local,
      }),
    ];
  },
});

/** Documents as they were written down, before they are known to be what their schema says. */
type Raw = Readonly<Record<string, unknown>>;

/** A template as version 2 of the format has it. */
export const readTemplateForward = (template: Raw): Record<string, unknown> =>
  template.format === 1 ? templateToV2(template) : { ...template };

/**
 * Version 1 of the format as version 2: what was a token where a number may stand is a measure; what version 1 had for a line
 * spacing that its style lacks stands beside it. Everything else that version 2 can say is as usual.
 */
export function templateToV2(template: Raw): Record<string, unknown> {
  const { objects } = template;
  return { ...template, format: 2, objects: Array.isArray(objects) ? objects.map(objectToV2) : objects };
}

const LEADING_OF_V1: Readonly<Record<string, number>> = { text: 1.3, list: 1.2, crawl: 1.4 };

function objectToV2(object: unknown): unknown {
  if (!isRaw(object)) return object;
  const { corners, stroke, trackingEm, leading, objects, clip, kind } = object;
  return {
    ...object,
    ...(corners === undefined ? {} : { corners: cornersToV2(corners) }),
    ...(isRaw(stroke) ? { stroke: { ...stroke, widthPx: measureOf(stroke.widthPx) } } : {}),
    ...(trackingEm === undefined ? {} : { trackingEm: measureOf(trackingEm) }),
    ...(leading === undefined ? {} : { leading: measureOf(leading, LEADING_OF_V1[String(kind)]) }),
    ...(isRaw(clip) && clip.kind === "box" ? { clip: { ...clip, corners: cornersToV2(clip.corners) } } : {}),
    ...(Array.isArray(objects) ? { objects: objects.map(objectToV2) } : {}),
  };
}

const cornersToV2 = (corners: unknown): unknown =>
  Array.isArray(corners) ? corners.map((one) => measureOf(one)) : measureOf(corners);

function measureOf(value: unknown, or?: number): unknown {
  if (!isRaw(value) || typeof value.token !== "string") return value;
  const { token, ...more } = value;
  return { ...more, measure: token, ...(or === undefined ? {} : { or }) };
}

const isRaw = (value: unknown): value is Raw =>
  typeof value === "object" && value !== null && !Array.isArray(value);

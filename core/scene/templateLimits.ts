import { t } from "../language/t.ts";
import { allObjects, type Template } from "./template.ts";
import { costOf } from "./templateCost.ts";

/** How large a template may be, in one place: as a file on its way in, as it is read, and as it is offered. */
export const TEMPLATE_LIMITS = {
  /** Of its file; one is some tens of kilobytes. */
  bytes: 1024 * 1024,
  /** Members of groups counted. */
  objects: 200,
  /** What a machine with no graphics processor paints while a page may still be waited for: some twenty full screens. */
  megapixels: 160,
} as const;

const NOTHING_CHANGED = t`Nothing was changed.`;

/** Why a file is too large to be read as a template; undefined when it is not. */
export function findTooLargeFile(bytes: number): string | undefined {
  if (bytes <= TEMPLATE_LIMITS.bytes) return undefined;
  return t`The template is larger than ${TEMPLATE_LIMITS.bytes / 1024 / 1024} MB, so it was not read. ${NOTHING_CHANGED}`;
}

/** Why a template is too large to be offered; undefined when it is not. */
export function findTooLarge(template: Template): string | undefined {
  const objects = allObjects(template).length;
  if (objects > TEMPLATE_LIMITS.objects)
    return t`The template has ${objects} objects, members of groups counted; at most ${TEMPLATE_LIMITS.objects} are taken. ${NOTHING_CHANGED}`;
  const { megapixels, dearest } = costOf(template);
  if (megapixels > TEMPLATE_LIMITS.megapixels)
    return t`The template would take ${Math.round(megapixels)} million pixels to draw, most of them for “${dearest?.id}” (${Math.round(dearest?.megapixels ?? 0)} million); at most ${TEMPLATE_LIMITS.megapixels} million are taken. Make its boxes, blurs and shadows smaller; nothing was changed.`;
  return undefined;
}

/** Boxes that take no letters: their keys are the air's. */
const NO_TEXT = /^(checkbox|radio|range|button|submit|reset|color|file|image)$/;

/** Whether keys belong to what has the focus: a text box, or anything in a small window that lies over the view. */
export function isTyping(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement)) return false;
  if (target.isContentEditable || target instanceof HTMLTextAreaElement) return true;
  if (target instanceof HTMLInputElement && !NO_TEXT.test(target.type)) return true;
  return target.closest("[data-own-keys]") !== null;
}

/** Boxes that take no letters. */
const NO_TEXT = /^(checkbox|radio|range|button|submit|reset|color|file|image)$/;

/**
 * Whether letters go into what has the focus: a text box, or anything in a small window that lies over the view. While the evening
 * runs, all other keys are the air's, whatever has the focus.
 */
export function takesText(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement)) return false;
  if (target.isContentEditable || target instanceof HTMLTextAreaElement) return true;
  if (target instanceof HTMLInputElement && !NO_TEXT.test(target.type)) return true;
  return target.closest("[data-own-keys]") !== null;
}

/** Whether keys mean something to what has the focus: besides text boxes, lists and check boxes have keys of their own. */
export const isTyping = (target: EventTarget | null): boolean =>
  takesText(target) || target instanceof HTMLInputElement || target instanceof HTMLSelectElement;

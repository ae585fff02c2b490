/** Puts an element where nobody sees it and browsers let it play all the same: in the page, all but clear, of two pixels. */
export function hide(element: HTMLElement): void {
  element.ariaHidden = "true";
  Object.assign(element.style, {
    ...{ position: "fixed", left: "0", top: "0", width: "2px", height: "2px" },
    ...{ opacity: "0.01", pointerEvents: "none" },
  });
}

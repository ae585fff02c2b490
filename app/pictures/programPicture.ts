import standIn from "../live/standInPicture.svg";

/** A stand-in for the program picture, filling whatever box it is given. */
export function makeProgramPicture(): HTMLElement {
  const element = document.createElement("div");
  element.style.background = `#3a3330 url(${standIn}) center / cover`;
  return element;
}

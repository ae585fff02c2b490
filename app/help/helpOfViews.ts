import type { ViewPath } from "../views.ts";
import type { GuideId } from "./sections.ts";

/** A place in the help. */
export interface HelpPlace {
  readonly guide: GuideId;
  /** A section of it; empty: its beginning. */
  readonly section: string;
}

const at = (guide: GuideId, section = ""): HelpPlace => ({ guide, section });

/** What is opened where somebody asks for help in a view. */
export const HELP_OF_VIEWS: Readonly<Record<ViewPath, HelpPlace>> = {
  run: at("first-evening", "run-it"),
  prepare: at("first-evening", "fill-the-evening"),
  check: at("first-evening", "look-at-it-before-anybody-else-does"),
  songs: at("first-evening", "fill-the-evening"),
  texts: at("first-evening", "fill-the-evening"),
  library: at("first-evening", "fill-the-evening"),
  feeds: at("feeds"),
  clips: at("triggers"),
  comments: at("feeds", "where-a-table-can-come-from"),
  design: at("design"),
  screens: at("kiosk"),
  triggers: at("triggers"),
  timing: at("first-evening", "run-it"),
  evenings: at("first-evening"),
  keys: at("first-evening", "run-it"),
  report: at("first-evening", "after-the-evening"),
  paper: at("first-evening", "after-the-evening"),
  phones: at("first-evening", "run-it"),
  carry: at("backup"),
  health: at("trouble"),
  help: at("first-evening"),
  welcome: at("first-evening"),
  gallery: at("design"),
};

/** The view of an address, and what helps there. */
export function helpAt(pathname: string): HelpPlace {
  const path = pathname.split("/")[1] ?? "";
  return Object.hasOwn(HELP_OF_VIEWS, path) ? HELP_OF_VIEWS[path as ViewPath] : at("first-evening");
}

import type { HouseStyle } from "../core/scene/houseStyle.ts";
import { ALEGREYA, ATKINSON, BRICOLAGE, FIGTREE, FRAUNCES, LITERATA } from "./typefaces.ts";

/**
 * Five styles of our own. Every template that ships asks for the same tokens:
 * ground and rise, the two ends of what lies behind everything; panel with onPanel and quietPanel, bars and the words
 * on them; words and quiet, words on the ground or on a picture; accent with onAccent; panelAccent, the
 * accent that is seen on panels; second, another accent; shade.
 */
export const HARBOUR_LAMP: HouseStyle = {
  kind: "style",
  name: "Harbour lamp",
  colors: {
    ground: "#0b1626",
    rise: "#16324a",
    panel: "#132a42",
    onPanel: "#fdf6e9",
    quietPanel: "#c3cfda",
    words: "#fdf6e9",
    quiet: "#cfd9e2",
    accent: "#f4bd68",
    panelAccent: "#f4bd68",
    onAccent: "#231603",
    second: "#e0744a",
    shade: "#02060c",
  },
  fonts: { words: LITERATA, titles: BRICOLAGE, plain: ATKINSON, figures: ATKINSON },
  numbers: { radius: 22, shadow: 1, rule: 6 },
};

/** Daylight: paper bars, ink words, a thin red line. */
export const CHALK_QUAY: HouseStyle = {
  kind: "style",
  name: "Chalk quay",
  colors: {
    ground: "#d9dfdc",
    rise: "#f4f3ec",
    panel: "#fbfaf5",
    onPanel: "#1c2427",
    quietPanel: "#4d5a5e",
    words: "#17201f",
    quiet: "#3f4c4d",
    accent: "#b8322a",
    panelAccent: "#b8322a",
    onAccent: "#fff8f2",
    second: "#1f5f6b",
    shade: "#8d9a97",
  },
  fonts: { words: ALEGREYA, titles: ALEGREYA, plain: FIGTREE, figures: FIGTREE },
  numbers: { radius: 3, shadow: 0.35, rule: 4 },
};

/** Black, bone and rust; hard edges. */
export const TARRED_ROPE: HouseStyle = {
  kind: "style",
  name: "Tarred rope",
  colors: {
    ground: "#100f0e",
    rise: "#2a2420",
    panel: "#191614",
    onPanel: "#efe6d6",
    quietPanel: "#b5a893",
    words: "#f3ebdd",
    quiet: "#c2b5a1",
    accent: "#d2683c",
    panelAccent: "#d2683c",
    onAccent: "#1b0d06",
    second: "#a48a5f",
    shade: "#000000",
  },
  fonts: { words: FRAUNCES, titles: FRAUNCES, plain: ATKINSON, figures: ATKINSON },
  numbers: { radius: 0, shadow: 1.1, rule: 3 },
};

/** Deep green water and pale glass; everything round. */
export const SEA_GLASS: HouseStyle = {
  kind: "style",
  name: "Sea glass",
  colors: {
    ground: "#05282c",
    rise: "#0f5a57",
    panel: "#d8f0e6",
    onPanel: "#06302f",
    quietPanel: "#2f5f5b",
    words: "#f0fbf6",
    quiet: "#bfe0d6",
    accent: "#7fe0bd",
    panelAccent: "#0b7a63",
    onAccent: "#04231f",
    second: "#f2d48c",
    shade: "#01110f",
  },
  fonts: { words: FIGTREE, titles: FIGTREE, plain: FIGTREE, figures: FIGTREE },
  numbers: { radius: 44, shadow: 0.8, rule: 8 },
};

/** A summer regatta: plum, coral and cream. */
export const REGATTA: HouseStyle = {
  kind: "style",
  name: "Regatta",
  colors: {
    ground: "#2a0f33",
    rise: "#5e1f4f",
    panel: "#ff6f59",
    onPanel: "#2a0714",
    quietPanel: "#5a1420",
    words: "#fff4e6",
    quiet: "#f0cfc9",
    accent: "#ffd166",
    panelAccent: "#5e1f4f",
    onAccent: "#2b1600",
    second: "#ff6f59",
    shade: "#16051b",
  },
  fonts: { words: BRICOLAGE, titles: BRICOLAGE, plain: FIGTREE, figures: FIGTREE },
  numbers: { radius: 16, shadow: 0.9, rule: 8 },
};

export const HOUSE_STYLES: readonly HouseStyle[] = [
  HARBOUR_LAMP,
  CHALK_QUAY,
  TARRED_ROPE,
  SEA_GLASS,
  REGATTA,
];

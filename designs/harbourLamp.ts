import type { HouseStyle } from "../core/scene/houseStyle.ts";

export const HARBOUR_LAMP: HouseStyle = {
  kind: "style",
  name: "Harbour lamp",
  colors: {
    night: "#0b1626",
    deep: "#16324a",
    ink: "#101820",
    paper: "#fdf6e9",
    mist: "#cfd9e2",
    lamp: "#f4bd68",
    ember: "#e0744a",
    shade: "#02060c",
  },
  fonts: {
    words: ["literata-500"],
    titles: ["bricolage-600"],
    plain: ["atkinson-500"],
  },
  radiusPx: 22,
};

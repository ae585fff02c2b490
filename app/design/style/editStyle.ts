import type { HouseStyle } from "../../../core/scene/houseStyle.ts";

/** Does something to a style; what goes on under the same label is one step back. */
export type EditStyle = (label: string, change: (style: HouseStyle) => HouseStyle) => void;

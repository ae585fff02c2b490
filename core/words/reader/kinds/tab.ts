import { t } from "../../../language/t.ts";
import type { Weigh } from "../candidate.ts";

const STRING_LINE = /^\s*[a-hA-H][#b]?\s*[|:‖][-\d|hpbrx~/\\s()^=. ]{6,}$/;
const BARE_STRING = /^\s*\|?(?:[-–]{2,}[\dhpxb/~]*){3,}\|?\s*$/;
const DRUMS = /^\s*(?:HH|SD|BD|CC|T1|T2|FT|RC|[HSBCT])\s*\|[-xoX|. ]{6,}$/;

/** Tablature: the strings of an instrument drawn with hyphens. */
export const weighTab: Weigh = ({ typed }) =>
  STRING_LINE.test(typed) || DRUMS.test(typed) || (BARE_STRING.test(typed) && /\d/.test(typed))
    ? { kind: "tab", weight: 11, why: t`is tablature` }
    : undefined;

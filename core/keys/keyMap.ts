import { z } from "zod";
import { t } from "../language/t.ts";

/** Layers that have a key of their own to take them off. */
const LAYER_NUMBERS = [1, 2, 3, 4, 5, 6, 7, 8, 9] as const;
type LayerAction = `layer${(typeof LAYER_NUMBERS)[number]}`;
interface ActionKind {
  readonly name: string;
  readonly isGuarded: boolean;
  readonly defaults: readonly string[];
  readonly worksLocked: boolean;
}

/** Those of persistent layers are held, which only the show knows. */
function layerActions(): Record<LayerAction, ActionKind> {
  return Object.fromEntries(
    LAYER_NUMBERS.map((number) => [
      `layer${number}`,
      { name: t`Layer ${number} out`, isGuarded: false, defaults: [`${number}`], worksLocked: true },
    ]),
  ) as unknown as Record<LayerAction, ActionKind>;
}

/** The layer that an action takes off, counted from 0; undefined for other actions. */
export function layerOfAction(action: AirAction): number | undefined {
  const number = /^layer([1-9])$/.exec(action)?.[1];
  return number === undefined ? undefined : Number(number) - 1;
}

/** What keys can do while the evening runs. Guarded ones are held for half a second. */
export const AIR_ACTIONS = {
  take: { name: t`Take`, isGuarded: false, defaults: [" ", "PageDown"], worksLocked: true },
  cut: { name: t`Cut`, isGuarded: false, defaults: ["x"], worksLocked: true },
  dissolve: { name: t`Dissolve`, isGuarded: false, defaults: ["d"], worksLocked: true },
  out: { name: t`Out`, isGuarded: false, defaults: ["o"], worksLocked: true },
  undo: { name: t`Undo`, isGuarded: false, defaults: ["u"], worksLocked: false },
  clear: { name: t`Clear`, isGuarded: true, defaults: ["Escape"], worksLocked: false },
  clearEverything: { name: t`Clear all`, isGuarded: true, defaults: ["Delete"], worksLocked: false },
  black: { name: t`Black, and back`, isGuarded: true, defaults: ["k"], worksLocked: false },
  blackAtOnce: {
    name: t`Black, and back, at a short press (clickers)`,
    isGuarded: false,
    defaults: ["b", "."],
    worksLocked: false,
  },
  standBy: { name: t`Stand-by, and back`, isGuarded: true, defaults: ["p"], worksLocked: false },
  send: { name: t`Send held edits`, isGuarded: false, defaults: ["s"], worksLocked: false },
  hold: { name: t`Hold what comes by itself`, isGuarded: false, defaults: ["h"], worksLocked: false },
  stopTriggers: {
    name: t`Stop triggers, and let them go`,
    isGuarded: false,
    defaults: ["t"],
    worksLocked: true,
  },
  otherAtSource: {
    name: t`The other one at the source on program`,
    isGuarded: false,
    defaults: ["m"],
    worksLocked: true,
  },
  clip: { name: t`Play or pause the clip`, isGuarded: false, defaults: ["v"], worksLocked: true },
  nextClip: { name: t`Play the next clip`, isGuarded: false, defaults: ["y"], worksLocked: true },
  armNext: { name: t`Arm the step after`, isGuarded: false, defaults: ["ArrowDown"], worksLocked: true },
  armBefore: { name: t`Arm the step before`, isGuarded: false, defaults: ["ArrowUp"], worksLocked: true },
  armNextCue: { name: t`Arm the cue after`, isGuarded: false, defaults: ["ArrowRight"], worksLocked: true },
  armCueBefore: { name: t`Arm the cue before`, isGuarded: false, defaults: ["ArrowLeft"], worksLocked: true },
  back: {
    name: t`Arm the step before the one on air`,
    isGuarded: false,
    defaults: ["Backspace", "PageUp"],
    worksLocked: true,
  },
  chorus: { name: t`Arm the chorus`, isGuarded: false, defaults: ["r"], worksLocked: true },
  follow: { name: t`Follow the script again`, isGuarded: false, defaults: ["Home", "F5"], worksLocked: true },
  goOn: { name: t`Go on from what came besides`, isGuarded: false, defaults: ["g"], worksLocked: true },
  stageNote: { name: t`Note to the stage`, isGuarded: false, defaults: ["n"], worksLocked: false },
  edit: { name: t`Edit what is on air`, isGuarded: false, defaults: ["e"], worksLocked: false },
  lock: {
    name: t`Lock all but take and out, and unlock`,
    isGuarded: true,
    defaults: ["l"],
    worksLocked: true,
  },
  ...layerActions(),
} as const satisfies Readonly<Record<string, ActionKind>>;
export type AirAction = keyof typeof AIR_ACTIONS;
export const AIR_ACTION_IDS = Object.keys(AIR_ACTIONS) as AirAction[];

const MOST_KEYS = 6;
const LONGEST_KEY = 120;

/** A key of a MIDI pad: its channel, and its note or controller. */
export const padKeySchema = z.string().regex(/^pad:([1-9]|1[0-6]):c?\d{1,3}$/);

/**
 * Keys of the venue's own, by action; an action that is missing has its usual ones. Keys as browsers name them, keys of pads
 * ("pad:1:60"), and addresses of messages ("/show/take").
 */
export const keyMapSchema = z.partialRecord(
  z.enum(AIR_ACTION_IDS as [AirAction, ...AirAction[]]),
  z.array(z.string().min(1).max(LONGEST_KEY)).max(MOST_KEYS),
);
export type KeyMap = z.infer<typeof keyMapSchema>;

export function keysOf(map: KeyMap, action: AirAction): readonly string[] {
  return map[action] ?? AIR_ACTIONS[action].defaults;
}

/** One letter is the same key with and without Shift. */
const folded = (key: string) => (key.length === 1 ? key.toLowerCase() : key);

export function findAction(map: KeyMap, key: string): AirAction | undefined {
  const wanted = folded(key);
  return AIR_ACTION_IDS.find((action) => keysOf(map, action).includes(wanted));
}

/** Keys that mean something else wherever one is: F finds, Tab and Enter move about. */
function reservedFor(key: string): string | undefined {
  if (key === "f") return t`F opens Find`;
  if (["Tab", "Enter", "Shift", "Control", "Alt", "Meta", "CapsLock", "Dead", "Unidentified"].includes(key))
    return t`the browser needs it`;
  return undefined;
}

/**
 * Gives an action one more key.
 * @returns the new map, or the sentence that says why not
 */
export function addKey(
  map: KeyMap,
  action: AirAction,
  key: string,
): { readonly map: KeyMap } | { readonly problem: string } {
  const wanted = folded(key);
  const reserved = reservedFor(wanted);
  if (reserved !== undefined)
    return { problem: t`“${nameOfKey(wanted)}” stays as it is: ${reserved}. Choose another key.` };
  const taken = findAction(map, wanted);
  if (taken === action) return { map };
  if (taken)
    return {
      problem: t`“${nameOfKey(wanted)}” is the key for “${AIR_ACTIONS[taken].name}”. Take it from there first, or choose another.`,
    };
  const keys = keysOf(map, action);
  if (keys.length >= MOST_KEYS)
    return { problem: t`An action has ${MOST_KEYS} keys at most. Take one away first.` };
  return { map: { ...map, [action]: [...keys, wanted] } };
}

/** Takes a key from an action; the take keeps one at least. */
export function removeKey(
  map: KeyMap,
  action: AirAction,
  key: string,
): { readonly map: KeyMap } | { readonly problem: string } {
  const keys = keysOf(map, action).filter((each) => each !== key);
  if (action === "take" && keys.length === 0)
    return { problem: t`The take keeps one key at least. Give it another before this one goes.` };
  return { map: { ...map, [action]: keys } };
}

const NAMES: Readonly<Record<string, string>> = {
  " ": "Space",
  Escape: "Esc",
  Delete: "Del",
  ArrowDown: "↓",
  ArrowUp: "↑",
  ArrowRight: "→",
  ArrowLeft: "←",
  PageDown: "PgDn",
  PageUp: "PgUp",
  Backspace: "⌫",
};

/** A key as it is written on screen. */
export function nameOfKey(key: string): string {
  const pad = /^pad:(\d+):(c?)(\d+)$/.exec(key);
  if (pad)
    return `pad ${pad[2] === "c" ? "control " : ""}${pad[3]}${pad[1] === "1" ? "" : `, channel ${pad[1]}`}`;
  return NAMES[key] ?? (key.length === 1 ? key.toUpperCase() : key);
}

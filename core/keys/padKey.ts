/** Kinds of MIDI messages that a key of a pad sends; the high half of their first byte. */
const NOTE_OFF = 0x8;
const NOTE_ON = 0x9;
const CONTROL = 0xb;

/** A key of a pad that went down or came up. */
export interface PadPress {
  /** As key maps have it: "pad:1:60" is note 60 on channel 1, "pad:1:c20" controller 20. */
  readonly key: string;
  readonly isDown: boolean;
}

/** Hears one pad. */
export class PadReader {
  /** Controllers, and whether they were high when they were heard last. */
  readonly #controllers = new Map<string, boolean>();

  /** @returns what a message says; undefined: nothing new. A fader on its way sends many, and is pressed once. */
  read(bytes: ArrayLike<number>): PadPress | undefined {
    const press = readPad(bytes);
    if (!press || (bytes[0] ?? 0) >> 4 !== CONTROL) return press;
    if (this.#controllers.get(press.key) === press.isDown) return undefined;
    this.#controllers.set(press.key, press.isDown);
    return press;
  }
}

/**
 * What a message of a pad says; undefined: nothing that a key does. A note on with no velocity is a note off.
 * @see MIDI 1.0, Detailed Specification, table I (from memory): 8n note off, 9n note on, Bn control change
 */
function readPad(bytes: ArrayLike<number>): PadPress | undefined {
  const [status = 0, number = 0, value = 0] = Array.from({ length: bytes.length }, (_, i) => bytes[i]);
  if (bytes.length < 3 || number > 127) return undefined;
  const channel = (status & 0x0f) + 1;
  switch (status >> 4) {
    case NOTE_ON:
      return { key: `pad:${channel}:${number}`, isDown: value > 0 };
    case NOTE_OFF:
      return { key: `pad:${channel}:${number}`, isDown: false };
    case CONTROL:
      return { key: `pad:${channel}:c${number}`, isDown: value >= 64 };
    default:
      return undefined;
  }
}

/** The message that lights a key, or puts its light out; undefined: it is none of a pad. */
export function writePadLight(key: string, isLit: boolean): [number, number, number] | undefined {
  const parts = /^pad:(\d+):(c?)(\d+)$/.exec(key);
  if (!parts) return undefined;
  const status = (parts[2] === "c" ? CONTROL : NOTE_ON) << 4;
  return [status | (Number(parts[1]) - 1), Number(parts[3]), isLit ? 127 : 0];
}

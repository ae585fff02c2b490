import { type PadPress, PadReader, writePadLight } from "../../core/keys/padKey.ts";
import { t } from "../../core/language/t.ts";

/** Whether this browser uses the pads of its machine: it is asked for once, here. */
const KEPT_UNDER = "vesko-pads";

/** How the pads of this machine do. */
export type PadsStatus =
  | { readonly kind: "off" }
  | { readonly kind: "on"; readonly names: readonly string[] }
  | { readonly kind: "refused"; readonly sentence: string };

/** Windows of this browser agree here on which of them a pad presses. */
const CHANNEL = "vesko-pads";

const REFUSED = t`The browser does not let this page use pads. Allow it beside the address, then try again.`;
const CANNOT = t`This browser knows no pads (Web MIDI), or the page came over a network without HTTPS.`;

/** The MIDI pads at this machine: their keys are heard, and lit. */
class Pads {
  #access: MIDIAccess | undefined;
  #status: PadsStatus = { kind: "off" };
  readonly #listeners = new Set<(press: PadPress) => void>();
  readonly #watchers = new Set<() => void>();
  #lit: ReadonlyMap<string, boolean> = new Map();
  /** By the input's id: one that is found again is where it was. */
  readonly #readers = new Map<string, PadReader>();
  #channel: BroadcastChannel | undefined;
  /** Of several windows with pads the one that had the focus last hears them: one press is one press. */
  #isOurs = true;

  get status(): PadsStatus {
    return this.#status;
  }

  /** Begins where this browser has used pads before. */
  resume(): void {
    if (localStorage.getItem(KEPT_UNDER) === "yes" && !this.#access) void this.turn(true);
  }

  async turn(isOn: boolean): Promise<void> {
    localStorage.setItem(KEPT_UNDER, isOn ? "yes" : "no");
    if (!isOn) {
      for (const input of this.#access?.inputs.values() ?? []) input.onmidimessage = null;
      this.#access = undefined;
      this.#channel?.close();
      this.#channel = undefined;
      return this.#become({ kind: "off" });
    }
    if (!navigator.requestMIDIAccess) return this.#become({ kind: "refused", sentence: CANNOT });
    try {
      this.#access = await navigator.requestMIDIAccess();
    } catch {
      return this.#become({ kind: "refused", sentence: REFUSED });
    }
    this.#access.onstatechange = () => this.#open();
    this.#agree();
    this.#open();
  }

  #agree(): void {
    if (this.#channel) return;
    const channel = new BroadcastChannel(CHANNEL);
    this.#channel = channel;
    channel.onmessage = ({ data }) => {
      this.#isOurs = data === "gone" && document.visibilityState === "visible";
    };
    const take = () => {
      this.#isOurs = true;
      this.#channel?.postMessage("taken");
    };
    window.addEventListener("focus", take);
    window.addEventListener("pagehide", () => this.#isOurs && this.#channel?.postMessage("gone"));
    take();
  }

  #open(): void {
    const inputs = [...(this.#access?.inputs.values() ?? [])];
    for (const input of inputs) {
      const reader = this.#readers.get(input.id) ?? new PadReader();
      this.#readers.set(input.id, reader);
      input.onmidimessage = ({ data }) => {
        const press = data ? reader.read(data) : undefined;
        if (press && this.#isOurs) for (const listener of this.#listeners) listener(press);
      };
    }
    this.#become({ kind: "on", names: inputs.map(({ name }) => name ?? "a pad") });
    // One that was plugged in again knows of no lights.
    const lights = this.#lit;
    this.#lit = new Map();
    this.light(lights);
  }

  #become(status: PadsStatus): void {
    this.#status = status;
    for (const watcher of this.#watchers) watcher();
  }

  readonly onPress = (listener: (press: PadPress) => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  readonly onStatus = (watcher: () => void): (() => void) => {
    this.#watchers.add(watcher);
    return () => this.#watchers.delete(watcher);
  };

  /** Lights keys, and puts others out; what is as it was is not sent again. */
  light(lights: ReadonlyMap<string, boolean>): void {
    const outputs = [...(this.#access?.outputs.values() ?? [])];
    for (const [key, isLit] of lights) {
      if (this.#lit.get(key) === isLit) continue;
      const message = writePadLight(key, isLit);
      if (message) for (const output of outputs) output.send(message);
    }
    this.#lit = lights;
  }
}

export const pads = new Pads();

/**
 * Titles that come and go with what they belong to, written apart from the core, from the sentences that people read:
 *
 * - When a source comes to program, what is tied to it comes, after its delay; when the source leaves, it leaves.
 * - What comes takes the place of what came by itself before. It does not take the place of what a hand has put there.
 * - What a hand has done to a layer since it was set off goes before it: then it does not come.
 * - What was brought leaves with its source only while no hand has done anything to the layer since.
 * - On a layer that a person holds, nothing comes and nothing leaves by itself but by its own stay.
 * - While all are stopped nothing comes and nothing leaves but by its stay, and what was on its way is forgotten. What had been
 *   brought before is the operator's from then on.
 */
export interface ModelTie {
  readonly id: string;
  readonly sourceId: string;
  readonly cue: string;
  readonly layer: string;
  readonly delayMs: number;
  /** From its coming; null: as long as it may. */
  readonly stayMs: number | null;
  readonly leavesWith: boolean;
}

interface Lying {
  readonly cue: string;
  readonly endsAtMs: number | null;
}
interface Layer {
  lying: Lying | null;
  /** What was done last: by a hand, and when; or by a tie. */
  last: { readonly by: "hand" | "tie"; readonly turn: number } | null;
}

export class FollowModel {
  readonly layers = new Map<string, Layer>();
  program: readonly string[] = [];
  held = new Set<string>();
  isStopped = false;
  #turn = 0;
  #waiting: { tie: ModelTie; atMs: number; turn: number }[] = [];
  /** Tie → when it brought something that may leave with its source. */
  #brought = new Map<string, number>();

  constructor(
    readonly ties: readonly ModelTie[],
    /** Cue → its own stay. */
    readonly stays: Readonly<Record<string, number | null>>,
  ) {}

  on(layer: string, atMs: number): string | null {
    const { lying } = this.#layer(layer);
    return lying && (lying.endsAtMs === null || lying.endsAtMs > atMs) ? lying.cue : null;
  }

  /** What is due up to a time. */
  pass(atMs: number): void {
    for (;;) {
      const next = this.#waiting.filter((each) => each.atMs <= atMs).sort((a, b) => a.atMs - b.atMs)[0];
      if (!next) return;
      this.#waiting = this.#waiting.filter((each) => each !== next);
      this.#bring(next.tie, next.turn, next.atMs);
    }
  }

  mixer(program: readonly string[], atMs: number): void {
    const came = program.filter((id) => !this.program.includes(id));
    const left = this.program.filter((id) => !program.includes(id));
    this.program = program;
    if (this.isStopped) return;
    const turn = ++this.#turn;
    for (const tie of this.ties)
      if (came.includes(tie.sourceId)) {
        if (tie.delayMs === 0) this.#bring(tie, turn, atMs);
        else {
          this.#waiting = this.#waiting.filter((each) => each.tie.id !== tie.id);
          this.#waiting.push({ tie, atMs: atMs + tie.delayMs, turn });
        }
      }
    for (const tie of this.ties)
      if (left.includes(tie.sourceId) && tie.leavesWith) {
        this.#waiting = this.#waiting.filter((each) => each.tie.id !== tie.id);
        this.#leave(tie, atMs);
      }
  }

  take(cue: string, layer: string, atMs: number): void {
    const stay = this.stays[cue] ?? null;
    this.#put(layer, { cue, endsAtMs: stay === null ? null : atMs + stay }, "hand");
  }

  out(layer: string, atMs: number): void {
    if (this.on(layer, atMs) !== null) this.#put(layer, null, "hand");
  }

  hold(layer: string, isHeld: boolean): void {
    if (isHeld) this.held.add(layer);
    else this.held.delete(layer);
  }

  stop(isStopped: boolean): void {
    if (this.isStopped === isStopped) return;
    this.isStopped = isStopped;
    this.#waiting = [];
    this.#brought.clear();
  }

  #bring(tie: ModelTie, since: number, atMs: number): void {
    const layer = this.#layer(tie.layer);
    if (this.held.has(tie.layer)) return;
    if (layer.last?.by === "hand") if (layer.last.turn > since || this.on(tie.layer, atMs) !== null) return;
    const stay = tie.stayMs;
    this.#put(tie.layer, { cue: tie.cue, endsAtMs: stay === null ? null : atMs + stay }, "tie");
    this.#brought.set(tie.id, this.#turn);
  }

  #leave(tie: ModelTie, atMs: number): void {
    const brought = this.#brought.get(tie.id);
    this.#brought.delete(tie.id);
    if (brought === undefined || this.held.has(tie.layer)) return;
    const layer = this.#layer(tie.layer);
    if (this.on(tie.layer, atMs) !== tie.cue || (layer.last?.turn ?? 0) > brought) return;
    this.#put(tie.layer, null, "tie");
  }

  #put(id: string, lying: Lying | null, by: "hand" | "tie"): void {
    const layer = this.#layer(id);
    layer.lying = lying;
    layer.last = { by, turn: ++this.#turn };
  }

  #layer(id: string): Layer {
    const known = this.layers.get(id);
    if (known) return known;
    const made: Layer = { lying: null, last: null };
    this.layers.set(id, made);
    return made;
  }
}

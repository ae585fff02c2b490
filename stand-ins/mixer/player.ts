/** Films that the player holds, by their names, with their lengths in seconds. */
export const FILMS = [
  { name: "Lanterns rise", seconds: 24 },
  { name: "Paper boat", seconds: 36 },
  { name: "Harbour at night", seconds: 60 },
] as const;

/** A player with one film in it, or none. Times are ms of one clock. */
export interface Player {
  readonly film: number | null;
  readonly fromMs: number;
  readonly atMs: number;
  readonly isRunning: boolean;
}

export const NO_FILM: Player = { film: null, fromMs: 0, atMs: 0, isRunning: false };

export type PlayerAct =
  | { readonly kind: "play"; readonly name: string }
  | { readonly kind: "pause" | "goOn" | "stop" };

const lengthMs = ({ film }: Player): number => (film === null ? 0 : (FILMS[film]?.seconds ?? 0) * 1_000);

/** Where in its film it is, ms; at the end it stands. */
export const placeMs = (player: Player, nowMs: number): number =>
  Math.min(lengthMs(player), player.fromMs + (player.isRunning ? nowMs - player.atMs : 0));

/** The player after an act; a film that it does not hold changes nothing. */
export function actOnPlayer(player: Player, what: PlayerAct, nowMs: number): Player {
  switch (what.kind) {
    case "play": {
      const film = FILMS.findIndex(({ name }) => name === what.name);
      return film < 0 ? player : { film, fromMs: 0, atMs: nowMs, isRunning: true };
    }
    case "pause":
      return { ...player, fromMs: placeMs(player, nowMs), atMs: nowMs, isRunning: false };
    case "goOn":
      return player.film === null || player.isRunning ? player : { ...player, atMs: nowMs, isRunning: true };
    case "stop":
      return NO_FILM;
  }
}

/** What it tells: its film with the length, and its place with whether it runs. */
export function toldByPlayer(
  player: Player,
  nowMs: number,
): (readonly [address: string, ...args: (string | number)[]])[] {
  const film = player.film === null ? undefined : FILMS[player.film];
  if (!film) return [["/player/clip", "", 0]];
  const at = placeMs(player, nowMs);
  const runs = player.isRunning && at < lengthMs(player);
  return [
    ["/player/clip", film.name, film.seconds],
    ["/player/place", Math.round(at) / 1_000, runs ? 1 : 0],
  ];
}

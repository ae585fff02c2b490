import { songOf } from "../core/words/songFields.ts";

/** Made-up words from syllables: as many different ones as a library of songs has. */
const SYLLABLES =
  "ha bor kin lan tern qua row ti de bel sto ne fla me ca ry do wn wi nd mor ning ra in sea".split(" ");

/** A generator with a seed (mulberry32): the same songs every time. */
function randomFrom(seed: number): (below: number) => number {
  let state = seed;
  return (below) => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return Math.floor((((t ^ (t >>> 14)) >>> 0) / 4294967296) * below);
  };
}

/** So many songs of four sections with four lines each, and the generator they were made with. */
export function madeUpSongs(count: number, seed: number) {
  const random = randomFrom(seed);
  const word = () =>
    Array.from({ length: 1 + random(3) }, () => SYLLABLES[random(SYLLABLES.length)]).join("");
  const line = () => Array.from({ length: 5 + random(4) }, word).join(" ");
  const songs = Array.from({ length: count }, (_, i) => {
    const section = (label: string) => `${label}\n${[line(), line(), line(), line()].join("\n")}`;
    const text = ["Verse 1", "Chorus", "Verse 2", "Bridge"].map(section).join("\n\n");
    return { id: `bench-song-${i}`, song: songOf(`${word()} ${word()} ${i}`, text) };
  });
  return { random, songs };
}

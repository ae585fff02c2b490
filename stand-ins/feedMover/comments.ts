/** What somebody of the invented town wrote. */
export interface TownComment {
  readonly id: string;
  readonly name: string;
  readonly words: string;
  /** The name of a picture of the demo's library; empty: none. */
  readonly picture: string;
}

const MOST_KEPT = 60;
/** Turns in which nobody has much to say, then many at once, over and over. */
const RUSH_EVERY_TURNS = 20;
const RUSH_TURNS = 5;

const PEOPLE = [
  ...["Ilse Tarrow", "Odhran Vael", "Brisa Quell", "Noor of the ferry", "Jörn Thale", "Åsa Quell"],
  ...["Мира Солт", "ليلى المرفأ", "נועה לפיד", "みなと", "दीपा", "lamp_on_the_slip"],
];
/** Those who have shown one. */
const PICTURES: Readonly<Record<string, string>> = {
  "Ilse Tarrow": "Lamp badge",
  "Odhran Vael": "Flag badge",
  "Brisa Quell": "Star badge",
  みなと: "Bell badge",
  // The library of nobody has this one.
  "Jörn Thale": "my dog.jpg",
};
const pictureOf = (name: string): string => PICTURES[name] ?? "";
const WORDS = [
  ...["What a sight from Gannet Steps!", "Grüße von der Bootsschule 🏮", "¡Qué noche más bonita! 🎉"],
  ...[
    "Сегодня весь причал светится",
    "الميناء كله نور الليلة",
    "הנמל מלא אור הלילה",
    "港が光でいっぱい",
    "आज पूरा घाट जगमगा रहा है",
  ],
  ...[
    "Go Kittiwake, go!!! 🚣🚣🚣",
    "my gran made the third lantern from the left",
    "can we have the soup recipe please",
  ],
  ...["sing the one about the bells again", "who left a red mitten at the lamp table", "👏👏👏"],
  ...[
    "cheap oars at www.oars-for-less.example",
    "win a boat: https://not-a-prize.example/win?x=1",
    "write to me at hello@oars.example",
  ],
  ...["the pilot is an old barnacle", "b4rnacle brains, all of you", "stop this bilge", "you l u b b e r s"],
  "I have walked down Ropewalk every winter for thirty years, past the kiln and the sail room and the house with the blue door, and I have never once seen it lit from end to end as it is tonight, so thank you, whoever carried the ladders.",
];

export const FIRST_COMMENTS: readonly TownComment[] = [
  ["Brisa Quell", "The whole quay smells of tar and oranges tonight"],
  ["Odhran Vael", "Go Kittiwake, go!!! 🚣"],
  ["みなと", "港が光でいっぱい"],
  ["lamp_on_the_slip", "cheap oars at www.oars-for-less.example"],
  ["ليلى المرفأ", "الميناء كله نور الليلة"],
  ["Jörn Thale", "the pilot is an old barnacle"],
].map(([name = "", words = ""], i) => ({ id: `c${i + 1}`, name, words, picture: pictureOf(name) }));

/** Those that there are, with what was written in one turn. @param random numbers from 0 to 1 */
export function moreComments(
  comments: readonly TownComment[],
  turn: number,
  random: () => number,
): readonly TownComment[] {
  const one = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)] as T;
  const isRush = turn % RUSH_EVERY_TURNS < RUSH_TURNS;
  const count = Math.floor(random() * (isRush ? 6 : 1.6));
  const newest = Number(comments.at(-1)?.id.slice(1) ?? 0);
  const more = Array.from({ length: count }, (_, i) => {
    const name = one(PEOPLE);
    return { id: `c${newest + i + 1}`, name, words: one(WORDS), picture: pictureOf(name) };
  });
  return [...comments, ...more].slice(-MOST_KEPT);
}

export const commentsOf = ({ comments }: { readonly comments: readonly TownComment[] }): string =>
  `${JSON.stringify({ comments }, null, 2)}\n`;

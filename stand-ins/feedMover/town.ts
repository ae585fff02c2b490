import { FIRST_COMMENTS, moreComments, type TownComment } from "./comments.ts";

/** What happens in the invented harbour town while an evening goes on. */
export interface Town {
  /** How often anything has happened. */
  readonly turn: number;
  readonly lanterns: readonly {
    readonly street: string;
    readonly lanterns: number;
    readonly since: string;
  }[];
  readonly boats: readonly {
    readonly boat: string;
    readonly school: string;
    readonly marks: number;
    readonly time: string;
  }[];
  /** Names that people vote on for the new boat. */
  readonly names: readonly { readonly name: string; readonly by: string; readonly votes: number }[];
  readonly raised: number;
  readonly notices: readonly string[];
  /** The newest that people wrote, the oldest first. */
  readonly comments: readonly TownComment[];
}

export const START: Town = {
  turn: 0,
  lanterns: [
    { street: "Ropewalk", lanterns: 142, since: "18:40" },
    { street: "Kiln Lane", lanterns: 118, since: "18:45" },
    { street: "Upper Slip", lanterns: 97, since: "18:30" },
    { street: "Gannet Steps", lanterns: 64, since: "19:05" },
    { street: "Tarbarrel Row", lanterns: 51, since: "19:10" },
  ],
  boats: [
    { boat: "Kittiwake", school: "Boat school", marks: 6, time: "12:40" },
    { boat: "Tern", school: "Net Loft", marks: 5, time: "12:52" },
    { boat: "Plover", school: "Harbour pilots", marks: 5, time: "13:05" },
    { boat: "Dunlin", school: "Upper Slip", marks: 4, time: "13:31" },
  ],
  names: [
    { name: "Lamp of Merrow", by: "Ropewalk", votes: 31 },
    { name: "Second Bell", by: "Kiln Lane", votes: 27 },
    { name: "Noor's Patience", by: "Boat school", votes: 44 },
    { name: "Salt and Candle", by: "Upper Slip", votes: 19 },
    { name: "The Late Ferry", by: "Tarbarrel Row", votes: 38 },
    { name: "Wicklight", by: "Gannet Steps", votes: 22 },
  ],
  raised: 8_150,
  notices: ["Last ferry 22:40", "Soup in the sail room until ten", "Hang lanterns on the harbour side"],
  comments: FIRST_COMMENTS,
};

const MORE_NOTICES = [
  "The walk to the water begins at 20:30, from Gannet Steps",
  "A child's red mitten is at the lamp table",
  "Mind the wet boards by the slip",
  "Ballot for the boat's name closes at nine",
];

/** The town a turn later. @param random numbers from 0 to 1 */
export function moved(town: Town, random: () => number): Town {
  const one = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)] as T;
  const street = one(town.lanterns);
  const boat = one(town.boats);
  const voted = one(town.names);
  const lit = Math.ceil(random() * 12);
  const hasNotice = town.turn % 12 === 11;
  return {
    turn: town.turn + 1,
    lanterns: town.lanterns.map((each) =>
      each === street ? { ...each, lanterns: each.lanterns + lit } : each,
    ),
    boats: town.boats.map((each) =>
      each === boat && random() < 0.6 ? { ...each, marks: each.marks + 1 } : each,
    ),
    names: town.names.map((each) =>
      each === voted ? { ...each, votes: each.votes + Math.ceil(random() * 5) } : each,
    ),
    raised: town.raised + Math.round(random() * 40) * 5,
    comments: moreComments(town.comments, town.turn, random),
    notices: hasNotice ? [...town.notices.slice(-3), one(MORE_NOTICES)] : town.notices,
  };
}

export const csvOf = (lanterns: Town["lanterns"]): string =>
  ["street,lanterns,since", ...lanterns.map((row) => `${row.street},${row.lanterns},${row.since}`), ""].join(
    "\n",
  );

export const jsonOf = ({ boats }: Town): string =>
  `${JSON.stringify({ race: "Round the breakwater", boats }, null, 2)}\n`;

export const xmlOf = ({ boats }: Town): string =>
  [
    '<?xml version="1.0" encoding="UTF-8"?>',
    "<race><boats>",
    ...boats.map(
      ({ boat, school, marks, time }) =>
        `  <boat name="${boat}"><school>${school}</school><marks>${marks}</marks><time>${time}</time></boat>`,
    ),
    "</boats></race>",
    "",
  ].join("\n");

export const votesOf = (names: Town["names"]): string =>
  [
    "order,name,proposed by,votes",
    ...names.map(({ name, by, votes }, at) => `${at + 1},${name},${by},${votes}`),
    "",
  ].join("\n");

/** What the new boat costs, in all. */
const WANTED = 20_000;
export const raisedOf = ({ raised }: Town): string =>
  `${JSON.stringify([{ what: "For the new boat", raised, of: WANTED }], null, 2)}\n`;

export const textOf = (notices: Town["notices"]): string => `${notices.join("\n")}\n`;

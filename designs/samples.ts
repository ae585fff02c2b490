/** Words for showing a template by itself: typical ones, in the demo's voice. */
const COMMON: Readonly<Record<string, string>> = {
  name: "Ilse Tarrow",
  role: "net mender",
  title: "Lantern Evening",
  subtitle: "The Net Loft, Merrow Quay",
  points:
    "Lanterns are lit from Ropewalk down\nBoats go first, then the boat school\nKeep to the left on Gannet Steps",
  heading: "Walk to the water",
  mark: "Merrow Quay",
  words: "The ropewalk and the kiln are lit,\nthe steps, the upper slip;",
  next: "there’s one for every window sill\nand one for every ship.",
  second: "La cordelería y el horno tienen luz,\nlos escalones y la rampa;",
  secondTranslation: "Reina-Valera 1909",
  credit: "",
  section: "Verse 2",
  reference: "Psalm 107:23–24",
  translation: "World English Bible",
  caption: "The upper slip, winter",
  items: "Last ferry 22:40\nSoup in the sail room until ten\nHang lanterns on the harbour side",
  lines: "Ilse Tarrow\nOdhran Vael\nBrisa Quell\nTeodor Anselm\nNoor Halvard",
  to: "12 min",
  label: "We begin at 19:00",
  now: "Carry the Lamp Down",
  later: "Walk to the water",
  comment: "We can see the lanterns from the ferry. Keep them lit, we are nearly home!",
  from: "Mira, on the ferry",
  rows: "Ropewalk|142\nKiln Lane|118\nUpper Slip|97\nGannet Steps|64\nTarbarrel Row|51",
  body: "Street by street, the count so far. The harbour side is ahead by a window.",
  writers: "Words and tune: Merrow Quay singers",
  publisher: "Written for this evening",
  licence: "Licence 40 118",
  note: "Slower in verse two: the ferry is late",
};

const OWN: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  reading: {
    words: "Those who go down to the sea in ships,\nwho do business in great waters,",
    next: "these see Yahweh’s deeds,",
    second: "Los que descienden á la mar en navíos, y hacen negocio en las muchas aguas,",
  },
  nowNext: { next: "Psalm 107:23–30" },
  credit: { title: "Carry the Lamp Down" },
  twoNames: {
    firstName: "Ilse Tarrow",
    firstRole: "net mender",
    secondName: "Odhran Vael",
    secondRole: "keeper of the kiln",
  },
  quotation: { quotation: "A lantern is only as bright as the window behind it." },
  score: {
    firstSide: "Ropewalk",
    firstScore: "3",
    secondSide: "Kiln Lane",
    secondScore: "2",
    note: "Second half",
  },
  pictureCaptions: {
    heading: "The upper slip",
    captions: "Boats leave from the left\nLanterns are handed out at the steps\nThe ferry turns here",
  },
  bigNumber: { number: "472", words: "windows lit", note: "Since the bell at six" },
  standby: { subtitle: "We go on in a moment" },
};

/** Values for every field that the templates which ship can show. */
export const sampleValues = (fieldSet: string): Readonly<Record<string, string>> => ({
  ...COMMON,
  ...OWN[fieldSet],
});

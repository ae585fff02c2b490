import { type CueDoc, pageCue, readingCue, songCue } from "../core/rundown/cueDoc.ts";
import type { ScreenUse } from "../core/rundown/firstSteps.ts";
import { NO_CREDITS } from "../core/words/credits.ts";
import { songOf } from "../core/words/songFields.ts";

/** Words of our own, to be sung or thrown away. */
const LEAVE_A_LIGHT = `Verse 1
Leave a light in the window,
leave the gate on the latch;
there is somebody walking
with a long way to catch.

Chorus
Come in, come in, out of the weather,
there is room at the table for more;
we were never so warm as together,
come in by the open door.

Verse 2
Set a cup for the stranger,
set a chair by the wall;
there is bread for the evening,
there is plenty for all.

Chorus`;

/** What the first evening of a house begins with, to be changed or dropped. */
export const firstEvening = (place: string, text: string): readonly CueDoc[] => [
  pageCue({ fieldSet: "backdrop", values: { name: "Evening light" } }),
  pageCue({ fieldSet: "corner", values: { mark: place || "Our house" } }),
  songCue({
    ...songOf("Leave a Light", LEAVE_A_LIGHT),
    language: "en",
    credits: { ...NO_CREDITS, writers: "Words that come with Vesko", publicDomain: true },
  }),
  pageCue({ fieldSet: "name", values: { name: "First and last name", role: "what they do" }, stayMs: 8_000 }),
  ...(text === "" ? [] : [readingCue({ reference: "Ps 23:1-6", text })]),
];

/** The outfit that a screen wears for its use. */
export const OUTFIT_OF_USE: Readonly<Record<ScreenUse, string>> = {
  hall: "full",
  stream: "band",
  stage: "stage",
  portrait: "porch",
  ribbon: "ribbon",
};

import type { CueDoc } from "../core/rundown/cueDoc.ts";
import { HARBOUR_LAMP } from "../designs/harbourLamp.ts";
import type { Seed } from "../designs/seed.ts";
import { STARTER_LAYERS, STARTER_OUTFITS, STARTER_OUTPUTS, STARTER_PLAN } from "../designs/starter.ts";
import { CARRY_THE_LAMP_DOWN, HARBOUR_KIND, NINE_BELLS } from "./songs.ts";

const page = (fieldSet: string, values: Record<string, string>, stayMs: number | null = null): CueDoc => ({
  kind: "page",
  fieldSet,
  values,
  stayMs,
});
const strap = (name: string, role: string): CueDoc => page("name", { name, role }, 8_000);
const song = (title: string, text: string): CueDoc => ({ kind: "song", title, credit: "", text, lines: {} });
const reading = (reference: string): CueDoc => ({ kind: "reading", reference, text: "web" });

/** The Lantern Evening at Merrow Quay: an invented harbour town's winter evening. */
export function lanternEvening(): Seed {
  return {
    show: {
      id: "lantern-evening",
      name: "Lantern Evening",
      place: "Merrow Quay",
      layers: STARTER_LAYERS,
      plan: STARTER_PLAN,
      outputs: STARTER_OUTPUTS.map((output) =>
        output.id === "wall" ? { ...output, name: "Loft wall" } : output,
      ),
      outfits: STARTER_OUTFITS,
      style: HARBOUR_LAMP,
    },
    cues: [
      page("backdrop", { name: "Night harbour" }),
      page("corner", { mark: "Merrow Quay" }),
      page("title", { title: "Lantern Evening", subtitle: "The Net Loft, Merrow Quay" }),
      strap("Ilse Tarrow", "net mender"),
      song("Carry the Lamp Down", CARRY_THE_LAMP_DOWN),
      strap("Odhran Vael", "harbour pilot"),
      reading("Ps 107:23-30"),
      strap("Brisa Quell", "lamp keeper"),
      song("Harbour Kind", HARBOUR_KIND),
      strap("Noor Halvard", "boat school"),
      reading("John 1:1-5"),
      strap("Teodor Anselm", "leader of the quay singers"),
      song("Nine Bells, No Wind", NINE_BELLS),
      page("title", { title: "Walk to the water", subtitle: "20:30, meet at Gannet Steps" }),
    ],
  };
}

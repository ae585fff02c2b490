import type { Clip } from "../../core/clips/clip.ts";
import type { ClipMapping } from "../../core/clips/clipMapping.ts";
import { t } from "../../core/language/t.ts";
import type { ClipView } from "../../core/wire/followView.ts";
import { sendFile } from "../api/sendFile.ts";
import type { DeskStore } from "../desk/deskStore.ts";
import { editClips } from "./editClips.ts";

/** Without its ending, and however its marks are written: "Hafen.XML" lies beside "hafen.webm". */
const stemOf = (name: string): string =>
  name
    .replace(/\.[^.]+$/, "")
    .normalize("NFC")
    .toLowerCase()
    .trim();

/** The clip that a file of details lies beside, by its name. */
export const clipBeside = (
  fileName: string,
  clips: readonly ClipView[],
  fileOf: (mediaId: string) => string,
): ClipView | undefined => {
  const stem = stemOf(fileName);
  return clips.find(({ name, mediaId }) => stemOf(fileOf(mediaId)) === stem || stemOf(name) === stem);
};

/** The mapping that finds the most of its elements in a file; undefined: none finds any. */
export function likeliestMapping<M extends ClipMapping>(
  elements: Readonly<Record<string, string>>,
  mappings: readonly M[],
): M | undefined {
  const found = ({ fields }: M) => Object.values(fields).filter((path) => path in elements).length;
  const [best] = [...mappings].sort((a, b) => found(b) - found(a));
  return best && found(best) > 0 ? best : undefined;
}

/**
 * Reads files and keeps what they say with the clips that they lie beside; each that cannot be is told, and changes nothing.
 * @param only the clip that they are for, whatever they are called
 * @returns the clips that have new details
 */
export async function bringDetails(
  store: DeskStore,
  files: readonly File[],
  fileOf: (mediaId: string) => string,
  only?: ClipView,
): Promise<string[]> {
  const done: string[] = [];
  const troubles: string[] = [];
  for (const file of files) {
    const { clips = [], mappings = [] } = store.getSnapshot().follow ?? {};
    const clip = only ?? clipBeside(file.name, clips, fileOf);
    if (!clip) {
      troubles.push(t`“${file.name}”: no clip of the list is called so.`);
      continue;
    }
    const answer = await sendFile<{ readonly elements: Clip["elements"] }>("/files/clip-details", {}, file)
      .answer;
    if (!answer || "problem" in answer) {
      troubles.push(`“${file.name}”: ${answer?.problem.sentence ?? t`it could not be sent.`}`);
      continue;
    }
    const { elements } = answer.value;
    const own = mappings.filter(({ id }) => id === clip.mappingId);
    const found = likeliestMapping(elements, own) ?? likeliestMapping(elements, mappings);
    if (clip.mappingId !== "" && !found)
      troubles.push(
        t`“${file.name}” was brought, and has no element of “${own[0]?.name ?? t`its mapping`}”.`,
      );
    const mapping = found && { mappingId: found.id };
    if (await editClips(store, { kind: "bringDetails", id: clip.id, elements, ...mapping }))
      done.push(clip.id);
  }
  if (troubles.length > 0) {
    const [first = ""] = troubles;
    const more = troubles.length > 1 ? t` And ${troubles.length - 1} more.` : "";
    store.say("trouble", t`${first}${more} All other clips keep what was known of them.`);
  }
  return done;
}

import { Upload } from "lucide-react";
import { useId, useState } from "react";
import { t } from "../../core/language/t.ts";
import type { ChromaKey } from "../../core/picture/chromaKey.ts";
import type { LibraryEntry } from "../../core/scene/libraryEntry.ts";
import type { LibraryItem } from "../api/loaded.ts";
import { MediaPicture, mediaFacts } from "../pictures/MediaPicture.tsx";
import { fieldClass, Labelled } from "../ui/Labelled.tsx";
import { KeyControls } from "./KeyControls.tsx";
import { MediaUses, useAllUses } from "./MediaUses.tsx";

const ACCEPTED = { picture: "image/*", video: "video/webm,video/mp4", sound: "audio/*" } as const;

/** All of one thing of the library: what it is, what it is called, where it is used, and what can be done with it. */
export function MediaDetails({
  item,
  folders,
  onDescribe,
  onKey,
  onReplace,
  onRemove,
}: {
  item: LibraryItem;
  folders: readonly string[];
  onDescribe: (entry: LibraryEntry) => void;
  onKey: (key: ChromaKey | null) => void;
  onReplace: (file: File) => void;
  onRemove: () => void;
}) {
  const { info, folder, tags } = item;
  const uses = useAllUses(item.id, item.uses);
  return (
    <>
      <h2 className="text-[17px] font-semibold">{info.name}</h2>
      <p className="mb-3 font-mono text-[14px] text-second">{mediaFacts(info)}</p>
      {info.type === "video" ? <KeyControls info={info} onSave={onKey} /> : <MediaPicture info={info} />}
      {info.type === "sound" && (
        // biome-ignore lint/a11y/useMediaCaption: a sound of the show, to be heard by whoever prepares it
        <audio controls src={`/media/${info.file}`} className="mt-3 w-full" />
      )}
      {info.isAnimated && (
        <p className="mt-3 text-[15px] text-attention">
          {t`This picture moves, and only its first picture is shown. Save it as a WebM clip to have it move.`}
        </p>
      )}
      {info.type === "video" && !info.hasAlpha && !info.key && (
        <p className="mt-3 text-[15px] text-attention">
          {t`This clip has no alpha: over a picture it covers it. Cut its background out, or use it as a backdrop.`}
        </p>
      )}
      <EntryForm
        key={`${info.name}/${folder}/${tags.join()}`}
        entry={{ name: info.name, folder, tags: [...tags] }}
        folders={folders}
        onSave={onDescribe}
      />
      <h3 className="mt-4 mb-1 text-[15px] font-semibold">{t`Used in`}</h3>
      {uses === null ? <p className="text-[15px] text-second">…</p> : <MediaUses uses={uses} />}
      <div className="mt-4 flex flex-wrap gap-2">
        <label className="inline-flex min-h-9 cursor-pointer items-center gap-1.5 rounded-md bg-lifted px-3 text-[15px] focus-within:outline-2 focus-within:outline-act hover:bg-edge">
          <Upload aria-hidden="true" className="size-4" />
          {t`Replace its file`}
          <input
            type="file"
            accept={ACCEPTED[info.type]}
            className="sr-only"
            onChange={({ target }) => {
              const file = target.files?.[0];
              target.value = "";
              if (file) onReplace(file);
            }}
          />
        </label>
        <button
          type="button"
          onClick={onRemove}
          className="min-h-9 rounded-md bg-lifted px-3 text-[15px] hover:bg-edge"
        >
          {uses && uses.length > 0 ? t`Delete from the library all the same` : t`Delete from the library`}
        </button>
      </div>
      <p className="mt-1.5 text-[14px] text-second">
        {uses && uses.length > 0
          ? t`A new file is in all of them from their next take on; once it is deleted they show a stand-in. What is on air stays as it is.`
          : t`What is on air stays as it is.`}
      </p>
    </>
  );
}

function EntryForm({
  entry,
  folders,
  onSave,
}: {
  entry: LibraryEntry;
  folders: readonly string[];
  onSave: (entry: LibraryEntry) => void;
}) {
  const id = useId();
  const [name, setName] = useState(entry.name);
  const [folder, setFolder] = useState(entry.folder);
  const [tags, setTags] = useState(entry.tags.join(", "));
  const wanted = {
    name: name.trim() || entry.name,
    folder: folder.trim(),
    tags: tags
      .split(",")
      .map((tag) => tag.trim())
      .filter((tag) => tag !== ""),
  };
  const save = () => {
    if (JSON.stringify(wanted) !== JSON.stringify(entry)) onSave(wanted);
  };
  const keys = {
    onBlur: save,
    onKeyDown: (event: React.KeyboardEvent) => {
      if (event.key === "Enter") save();
    },
  };
  const box = `${fieldClass} min-h-9 py-1 text-[15px]`;
  return (
    <div className="mt-4 grid grid-cols-2 gap-2">
      <div className="col-span-2">
        <Labelled id={`${id}name`} label={t`Name`}>
          <input
            id={`${id}name`}
            value={name}
            maxLength={200}
            onChange={({ target }) => setName(target.value)}
            className={box}
            {...keys}
          />
        </Labelled>
      </div>
      <Labelled id={`${id}folder`} label={t`Folder`}>
        <input
          id={`${id}folder`}
          value={folder}
          maxLength={120}
          list={`${id}folders`}
          placeholder={t`none`}
          onChange={({ target }) => setFolder(target.value)}
          className={box}
          {...keys}
        />
        <datalist id={`${id}folders`}>
          {folders.map((each) => (
            <option key={each} value={each} />
          ))}
        </datalist>
      </Labelled>
      <Labelled id={`${id}tags`} label={t`Tags, parted by commas`}>
        <input
          id={`${id}tags`}
          value={tags}
          maxLength={400}
          placeholder={t`none`}
          onChange={({ target }) => setTags(target.value)}
          className={box}
          {...keys}
        />
      </Labelled>
    </div>
  );
}

import { FileUp, FolderSync, Globe, ListVideo, Table2 } from "lucide-react";
import { type ReactNode, useState } from "react";
import { t } from "../../core/language/t.ts";
import { useDeskStore } from "../desk/deskContext.ts";
import { fieldClass, Labelled } from "../ui/Labelled.tsx";
import type { FeedPlaces } from "./feedPlaces.ts";
import { makeFeed, type NewSource, uploadOf } from "./makeFeed.ts";

const WAYS = [
  { kind: "upload", name: t`A file`, hint: t`CSV, XLSX, JSON, XML or text, brought once`, Sign: FileUp },
  { kind: "watched", name: t`A watched file`, hint: t`read again whenever it is saved`, Sign: FolderSync },
  { kind: "address", name: t`An address`, hint: t`asked again and again`, Sign: Globe },
  { kind: "table", name: t`A table here`, hint: t`typed or pasted, by several hands`, Sign: Table2 },
  {
    kind: "running",
    name: t`Now and next`,
    hint: t`from the clips and the script, with times`,
    Sign: ListVideo,
  },
] as const;
type Way = (typeof WAYS)[number]["kind"];

/** Makes a feed: where its rows come from, and what it is called; all else is found out. */
export function NewFeed({
  places: { files, hasFolder, hosts },
  onMade,
  onCancel,
  children,
}: {
  places: FeedPlaces;
  onMade: (id: string) => void;
  onCancel?: () => void;
  children: ReactNode;
}) {
  const store = useDeskStore();
  const [way, setWay] = useState<Way>("upload");
  const [name, setName] = useState("");
  const [path, setPath] = useState(files[0] ?? "");
  const [url, setUrl] = useState("");
  const [isBusy, setIsBusy] = useState(false);

  const make = async (source: NewSource, from: string, file?: File) => {
    setIsBusy(true);
    const { id, problem } = await makeFeed(name, source, from, file);
    setIsBusy(false);
    if (problem !== undefined) store.say("trouble", problem);
    if (id !== undefined) onMade(id);
  };

  const canMake =
    way === "table" || way === "running" || (way === "watched" ? files.length > 0 : url.trim() !== "");
  const makeFrom = () => {
    const address = url.trim();
    if (way === "table") void make({ kind: "table" }, t`Table`);
    else if (way === "running") void make({ kind: "running" }, t`Now and next`);
    else if (way === "watched") void make({ kind: "watched", path }, path);
    else void make({ kind: "address", url: address, everyMs: 1_000 }, address.split(/[?#]/)[0] ?? "");
  };

  return (
    <div className="flex min-h-0 flex-col gap-5 overflow-y-auto px-6 py-5 *:flex-none">
      <div className="flex items-baseline justify-between gap-4">
        <h2 className="text-[19px] font-semibold">{t`New feed`}</h2>
        {onCancel && (
          <button
            type="button"
            onClick={onCancel}
            className="min-h-9 rounded-md bg-lifted px-3 text-[15px] hover:bg-edge"
          >
            {t`Cancel`}
          </button>
        )}
      </div>
      {children}
      <fieldset className="max-w-3xl">
        <legend className="mb-1.5 text-[14px] text-second">{t`Its rows come from`}</legend>
        <div className="grid grid-cols-3 gap-3 max-[1250px]:grid-cols-2">
          {WAYS.map(({ kind, name: label, hint, Sign }) => (
            <label
              key={kind}
              className={`flex cursor-pointer items-start gap-3 rounded-lg border-2 px-4 py-3 focus-within:outline-2 focus-within:outline-offset-2 focus-within:outline-act ${way === kind ? "border-act bg-act-ground" : "border-edge hover:border-edge-strong"}`}
            >
              <input
                type="radio"
                name="way"
                checked={way === kind}
                onChange={() => setWay(kind)}
                className="sr-only"
              />
              <Sign aria-hidden="true" className="mt-0.5 size-5 shrink-0 text-act" />
              <span>
                <span className="block text-[16px] font-semibold">{label}</span>
                <span className="block text-[14px] text-second">{hint}</span>
              </span>
            </label>
          ))}
        </div>
      </fieldset>
      <div className="flex max-w-3xl flex-wrap items-end gap-4">
        <Labelled id="feed-name" label={t`Name`}>
          <input
            id="feed-name"
            value={name}
            maxLength={80}
            placeholder={t`as the file is called`}
            onChange={({ target }) => setName(target.value)}
            className={`${fieldClass} text-[16px]`}
          />
        </Labelled>
        {way === "watched" && (
          <Labelled id="feed-path" label={t`File in the feed folder`}>
            <select
              id="feed-path"
              value={path}
              disabled={files.length === 0}
              onChange={({ target }) => setPath(target.value)}
              className={`${fieldClass} min-h-[42px] text-[16px]`}
            >
              {files.map((each) => (
                <option key={each}>{each}</option>
              ))}
              {files.length === 0 && (
                <option>{hasFolder ? t`The folder is empty` : t`There is no folder`}</option>
              )}
            </select>
          </Labelled>
        )}
        {way === "address" && (
          <Labelled id="feed-url" label={t`Address`}>
            <input
              id="feed-url"
              value={url}
              maxLength={2_000}
              inputMode="url"
              placeholder="http://…"
              onChange={({ target }) => setUrl(target.value)}
              className={`${fieldClass} text-[16px]`}
            />
          </Labelled>
        )}
      </div>
      <p className="max-w-3xl text-[15px] text-second">
        {way === "upload" &&
          t`What its columns are is found from its values. It is brought again whenever you like.`}
        {way === "watched" &&
          (hasFolder
            ? t`Save the file in its own program: pages follow within a moment. A save that is broken is not shown.`
            : t`The server watches the folder that it was started with: start it with --feed-folder FOLDER.`)}
        {way === "table" &&
          t`Its rows are typed here, or pasted from a spreadsheet, by whoever has the desk.`}
        {way === "running" &&
          t`Rows called now, next and later, with titles, times and what is known of each clip. Nothing is typed: it follows what plays and where the script stands.`}
        {way === "address" &&
          (hosts.length > 0
            ? t`These hosts may be asked: ${hosts.join(", ")}.`
            : t`The server asks only the hosts that it was started with: start it with --feed-host NAME.`)}
      </p>
      {way === "upload" ? (
        <label
          className={`inline-flex min-h-11 w-fit items-center gap-2 rounded-lg px-5 text-[15px] font-bold focus-within:outline-2 focus-within:outline-offset-2 focus-within:outline-act ${isBusy ? "bg-lifted text-second" : "cursor-pointer bg-act text-on-bright hover:brightness-110"}`}
        >
          <FileUp aria-hidden="true" className="size-4.5" /> {t`Choose a file`}
          <input
            type="file"
            disabled={isBusy}
            accept=".csv,.tsv,.xlsx,.xlsm,.json,.xml,.txt"
            className="sr-only"
            onChange={({ target }) => {
              const [file] = target.files ?? [];
              if (file) void make(uploadOf(file), file.name, file);
              target.value = "";
            }}
          />
        </label>
      ) : (
        <button
          type="button"
          disabled={isBusy || !canMake}
          onClick={makeFrom}
          className="flex min-h-11 w-fit items-center gap-2 rounded-lg bg-act px-5 text-[15px] font-bold text-on-bright hover:brightness-110 disabled:bg-lifted disabled:text-quiet"
        >
          <Table2 aria-hidden="true" className="size-4.5" /> {t`Make the feed`}
        </button>
      )}
    </div>
  );
}

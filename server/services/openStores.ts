import { DeskSessions } from "../access/sessions.ts";
import type { Aside } from "../aside/aside.ts";
import { loadShaper } from "../fonts/shippedFonts.ts";
import { AirLog } from "../store/airLog.ts";
import { BesideStore } from "../store/besideStore.ts";
import { CommentStore } from "../store/commentStore.ts";
import { ContentStore } from "../store/contentStore.ts";
import { CueStore } from "../store/cueStore.ts";
import type { Db } from "../store/database.ts";
import { DesignStore } from "../store/designStore.ts";
import { EveningStore } from "../store/eveningStore.ts";
import { FeedStore } from "../store/feedStore.ts";
import { FollowStore } from "../store/followStore.ts";
import { FontStore } from "../store/fontStore.ts";
import { HouseStore } from "../store/houseStore.ts";
import { LinkStore } from "../store/linkStore.ts";
import { addShippedTexts } from "../store/makeShow.ts";
import { MediaStore } from "../store/mediaStore.ts";
import { Passcode } from "../store/passcode.ts";
import { ReportStore } from "../store/reportStore.ts";
import { ScreenStore } from "../store/screenStore.ts";
import { seedDesigns } from "../store/seedDesigns.ts";
import { SeenStore } from "../store/seenStore.ts";
import { SetAside } from "../store/setAside.ts";
import { findShowId, loadShow } from "../store/showStore.ts";
import { SongShownStore } from "../store/songShownStore.ts";
import { SongStore } from "../store/songStore.ts";
import { ValueLog } from "../store/valueLog.ts";
import { VenueStore } from "../store/venueStore.ts";

export type Stores = Awaited<ReturnType<typeof openStores>>;

export interface StoreOptions {
  /** Folder of this project. */
  readonly home: string;
  /** Where pictures and clips are kept. */
  readonly mediaFolder: string;
  readonly aside: Aside;
  readonly now: () => number;
}

/** Everything that is kept in the database, read once. @throws Error when there is no show in it */
export async function openStores(db: Db, { home, mediaFolder, aside, now }: StoreOptions) {
  const setAside = new SetAside();
  const contents = new ContentStore(db, setAside);
  const scriptures = await addShippedTexts(db, home);
  const shaper = await loadShaper();
  const showId = await findShowId(db);
  if (showId === undefined) throw new Error("There is no show in the database");
  const show = await loadShow(db, contents, showId, setAside);
  const designs = new DesignStore(db, contents, showId, setAside);
  await designs.load();
  await seedDesigns(designs, [], now());
  const media = new MediaStore(db, contents, showId, mediaFolder, aside);
  await media.load();
  const songs = new SongStore(db, setAside);
  await songs.load();
  const fonts = new FontStore(db, showId, media, shaper, aside);
  await fonts.load();
  const screens = new ScreenStore(db, showId, setAside);
  await screens.load();
  const evenings = new EveningStore(db, showId, setAside);
  await evenings.load();
  const cues = new CueStore(db, showId, setAside);
  await cues.open(evenings.open.id);
  const venue = new VenueStore(db, showId, setAside);
  await venue.load();
  const followStore = new FollowStore(db, showId, setAside);
  await followStore.load();
  const passcode = new Passcode(db, showId);
  await passcode.load();
  const links = new LinkStore(db, showId, now, setAside);
  await links.load(screens.outputs.map(({ id }) => id));
  const sessions = new DeskSessions(db, showId, now);
  await sessions.load();
  return {
    setAside,
    contents,
    scriptures,
    shaper,
    show,
    media,
    songs,
    fonts,
    screens,
    evenings,
    seen: new SeenStore(db),
    cues,
    venue,
    passcode,
    links,
    sessions,
    designs,
    house: new HouseStore(db, show),
    airLog: new AirLog(db, contents, showId, setAside),
    commentStore: new CommentStore(db, showId, setAside),
    followStore,
    feedStore: new FeedStore(db, showId, setAside),
    reportNotes: new ReportStore(db, showId),
    besideStore: new BesideStore(db, showId, setAside),
    songsShown: new SongShownStore(db, showId, setAside),
    valueLog: new ValueLog(db, showId, setAside),
  };
}

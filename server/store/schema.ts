import type { Generated } from "kysely";

/** Rows as SQLite holds them. JSON columns are text, parsed by a Zod schema on the way in and out. */
export interface Tables {
  show: {
    id: string;
    name: string;
    place: string;
    layers: string;
    plan: string;
    style_hash: string;
    /** The house style that it wears. */
    style_id: Generated<string>;
    time_zone: string;
    created_at_ms: number;
    /** The venue's licence number for showing songs. */
    licence: Generated<string>;
    /** Salt and key of the passcode; empty: none. */
    passcode_hash: Generated<string>;
    /** The room the screens stand in. */
    venue: Generated<string>;
    /** Keys of the venue's own, as JSON. */
    keys: Generated<string>;
    /** BCP 47 tag: how dates and times are written. */
    language: Generated<string>;
    /** How long, and how much, of what was done is kept in full. */
    kept_days: Generated<number>;
    kept_mb: Generated<number>;
    /** The evening that is open. */
    evening_id: Generated<string>;
    /** What the venue has set of the limits of the check, as JSON. */
    check_limits: Generated<string>;
  };
  evening: {
    id: string;
    show_id: string;
    name: string;
    /** YYYY-MM-DD; empty when not said. */
    day: string;
    /** HH:MM; empty when not said. */
    starts_at: string;
    /** HH:MM; empty when not said. */
    ends_at: string;
    created_at_ms: number;
    deleted_at_ms: number | null;
    /** How many of its cues came with it when it was copied: those not changed since have no later revision. */
    copied_cues: Generated<number>;
  };
  seen_step: { evening_id: string; step_key: string; seen_at_ms: number; seen_by: string };
  output: { id: string; show_id: string; rank: number; doc: string };
  screen_plan: { id: string; show_id: string; rank: number; doc: string };
  design: {
    id: string;
    show_id: string;
    /** A kind of core/design/designKinds.ts. */
    kind: string;
    /** Of the draft, where there is one. */
    name: string;
    rank: number;
    /** The version in use; null: it was never published. */
    published_hash: string | null;
    /** What is being made of it; null: it is as it was published. */
    draft: string | null;
    /** Grows with every change of the draft. */
    revision: Generated<number>;
    created_at_ms: number;
    deleted_at_ms: number | null;
  };
  design_version: {
    show_id: string;
    kind: string;
    design_id: string;
    number: number;
    content_hash: string;
    at_ms: number;
    actor: string;
    note: string;
  };
  /** What each person did to a draft: what undo takes back and redo does again. */
  design_edit: {
    id: Generated<number>;
    show_id: string;
    kind: string;
    design_id: string;
    at_ms: number;
    actor: string;
    label: string;
    changes: string;
    undone: number;
  };
  font: { id: string; show_id: string; name: string; file: string };
  media: {
    id: string;
    show_id: string;
    content_hash: string;
    added_at_ms: number;
    folder: Generated<string>;
    /** JSON: names. */
    tags: Generated<string>;
  };
  content: { hash: string; doc: string; created_at_ms: number };
  cue: {
    id: string;
    show_id: string;
    evening_id: string;
    rank: string;
    revision: number;
    doc: string;
  };
  edit_log: {
    id: Generated<number>;
    show_id: string;
    evening_id: string;
    at_ms: number;
    actor: string;
    label: string;
    change: string;
    undone: number;
  };
  air_event: {
    show_id: string;
    seq: number;
    at_ms: number;
    actor: string | null;
    act_id: string | null;
    event: string;
  };
  report_note: {
    number: Generated<number>;
    show_id: string;
    seq: number;
    at_ms: number;
    by: string;
    words: string;
  };
  beside_air: {
    number: Generated<number>;
    show_id: string;
    at_ms: number;
    kind: string;
    /** What it was about, by its id. */
    about: string;
    amount: number | null;
    words: string;
  };
  /** What is kept of events that are let go. */
  report_row: { show_id: string; seq: number; doc: string };
  /** Songs that were shown in events that were let go; the times are those of the document, for asking by them. */
  song_shown: {
    number: Generated<number>;
    show_id: string;
    from_ms: number;
    until_ms: number;
    doc: string;
  };
  /** `file`: what was brought for it; `good`: its last good table. */
  feed: {
    id: string;
    show_id: string;
    revision: number;
    doc: string;
    file: Buffer | null;
    good: string | null;
  };
  /** What was done to tables that are edited here; `id` is the doer's own, so that what is sent twice is done once. */
  table_change: {
    number: Generated<number>;
    show_id: string;
    id: string;
    feed_id: string;
    at_ms: number;
    by: string;
    what: string;
  };
  comment: { number: Generated<number>; show_id: string; id: string; at_ms: number; doc: string };
  comment_settings: { show_id: string; doc: string };
  /** Sources, triggers and their settings, each a document of its kind. */
  follow: { show_id: string; kind: string; id: string; place: number; revision: number; doc: string };
  entry_link: { token: string; show_id: string; id: string; doc: string };
  remote_link: { token: string; show_id: string; id: string; doc: string };
  value_change: { show_id: string; seq: number; doc: string };
  value_state: { show_id: string; doc: string };
  air_snapshot: { show_id: string; seq: number; state: string };
  /** Browsers on other machines that were let in to the desk. */
  desk_session: {
    id: string;
    show_id: string;
    cookie_hash: string;
    live_hash: string;
    name: string;
    way: "link" | "passcode";
    address: string;
    began_at_ms: number;
    seen_at_ms: number;
  };
  link: { token: string; show_id: string; kind: string; output_id: string | null };
  song: {
    number: Generated<number>;
    id: string;
    revision: number;
    title: string;
    doc: string;
    changed_at_ms: number;
    deleted_at_ms: number | null;
  };
  song_version: { song_number: number; revision: number; at_ms: number; actor: string; doc: string };
  scripture_text: {
    code: string;
    name: string;
    language: string;
    rights: string;
    /** Times a hundred thousand, the first of its verses in the index of words. */
    number: number;
    state: "importing" | "ready";
  };
  scripture_verse: {
    text_code: string;
    book: string;
    chapter: number;
    verse: number;
    words: string;
  };
}

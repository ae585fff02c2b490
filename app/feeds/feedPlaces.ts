/** Where rows may come from, as the server was started. */
export interface FeedPlaces {
  /** Files in the feed folder. */
  readonly files: readonly string[];
  readonly hasFolder: boolean;
  /** Hosts that may be asked. */
  readonly hosts: readonly string[];
}

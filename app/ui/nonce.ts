import { createContext } from "react";

/** Names the scripts of an answer while it is made on the server; a browser tells nobody what it was. */
export const NonceContext = createContext<string | undefined>(undefined);

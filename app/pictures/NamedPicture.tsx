import { useState } from "react";

/** A picture of the library by its name, small; nothing where none is called so. @param version anything that is another when the picture is */
export function NamedPicture({
  name,
  version = 0,
  className,
}: {
  name: string;
  version?: number;
  className: string;
}) {
  const src = `/library/named?${new URLSearchParams({ name, version: `${version}` })}`;
  const [missing, setMissing] = useState("");
  if (name === "" || missing === src) return null;
  return (
    <img
      src={src}
      alt=""
      loading="lazy"
      decoding="async"
      onError={() => setMissing(src)}
      className={`chequered shrink-0 object-cover ${className}`}
    />
  );
}

/** A function of one object that works each one out once, and forgets it with the object. What it is of may not change. */
export function oncePer<Of extends object, Made>(make: (of: Of) => Made): (of: Of) => Made {
  const known = new WeakMap<Of, { readonly made: Made }>();
  return (of) => {
    const was = known.get(of);
    if (was) return was.made;
    const made = make(of);
    known.set(of, { made });
    return made;
  };
}

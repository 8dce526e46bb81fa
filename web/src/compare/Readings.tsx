import { Typography } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { signed } from "../kit/numbers";
import { readingsOf, type Side } from "./sides";

/** A place of a picture, as shares of its width and height. */
export interface Place {
  x: number;
  y: number;
}

/** A place is read once the pointer rests. */
const REST = 120;

/** The colours of both pictures under one pointer. */
export function Readings({ a, b, place }: { a: Side; b: Side; place: Place | undefined }) {
  const [rest, setRest] = useState<Place>();
  useEffect(() => {
    const soon = setTimeout(() => setRest(place), REST);
    return () => clearTimeout(soon);
  }, [place]);
  const inside = rest && rest.x >= 0 && rest.y >= 0 && rest.x <= 1 && rest.y <= 1;
  const read = useQuery({
    queryKey: ["readings", a, b, rest],
    queryFn: () => readingsOf(a, b, rest?.x ?? 0, rest?.y ?? 0),
    enabled: !!inside,
    placeholderData: (last) => last,
  });
  if (!read.data) return <Typography color="text.secondary">Readings follow the pointer.</Typography>;
  const { one, other, difference } = read.data;
  const said = ({ lab, stops }: typeof one) =>
    `L* ${lab.l.toFixed(1)}, a* ${signed(lab.a)}, b* ${signed(lab.b)}, ${signed(stops)} st`;
  return (
    <Typography role="status" noWrap>
      {a.name}: {said(one)}. {b.name}: {said(other)}. Apart by {difference.toFixed(1)}
    </Typography>
  );
}

import { Typography } from "@mui/material";
import { useQuery } from "@tanstack/react-query";
import { signed } from "../kit/numbers";
import { readingsOf, type Side } from "./sides";

/** A place of a picture, as shares of its width and height. */
export interface Place {
  x: number;
  y: number;
}

/** The colours of both pictures at one place. */
export function Readings({ a, b, place }: { a: Side; b: Side; place: Place | undefined }) {
  const inside = place && place.x >= 0 && place.y >= 0 && place.x <= 1 && place.y <= 1;
  const read = useQuery({
    queryKey: ["readings", a, b, place],
    queryFn: () => readingsOf(a, b, place?.x ?? 0, place?.y ?? 0),
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

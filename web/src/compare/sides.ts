import { useQuery } from "@tanstack/react-query";
import { data, server } from "../api/client";
import { useShoot } from "../api/shoots";
import { useSource } from "../api/source";
import { STAGES } from "../bench/state/rail";
import { linedUp } from "../contacts/states";

/** One of the two pictures that are compared. */
export interface Side {
  key: string;
  name: string;
  view: string;
  /** Number of a step; 0 for how it is now. */
  revision: number;
  /** What is left out; see the server. */
  without: string;
}

const side = (key: string, name: string, view: string, revision = 0, without = ""): Side => ({
  key,
  name,
  view,
  revision,
  without,
});

/** All pictures that a view can be compared with, in the order of a chooser. */
export function useSides(view: string) {
  const { sheet, recipe, kinds } = useSource(view);
  const alternatives = useAlternatives(view);
  const history = useQuery({
    queryKey: ["history", view, "compare"],
    queryFn: () => data(server.GET("/api/views/{id}/history", { params: { path: { id: view } } })),
    staleTime: 0,
  });
  const shoot = useShoot(sheet.data?.shoot ?? "");
  const first = history.data?.at(-1)?.number;
  const others = shoot.data?.views.filter((v) => v.id !== view && linedUp(v)) ?? [];
  const passes = (recipe.data?.recipe.passes ?? [])
    .map((p, k) => {
      const kind = kinds.data?.find((of) => of.kind === p.move.kind)?.name ?? p.move.kind;
      return { id: p.id, on: p.on, name: `pass ${k + 1}, ${kind.toLowerCase()}` };
    })
    .filter((p) => p.on);
  const sides: Side[] = [
    side("now", "As it is now", view),
    side("ground", "The ground alone", view, 0, "all"),
    ...(first ? [side("first", "The first version", view, first)] : []),
    ...(alternatives.data ?? []).map((a) => side(`alternative ${a.id}`, a.name, view, a.revision)),
    ...STAGES.filter((s) => s.passes).map((s) =>
      side(`without ${s.name}`, `Without ${s.name.toLowerCase()}`, view, 0, s.name),
    ),
    ...passes.map((p) => side(`without ${p.id}`, `Without ${p.name}`, view, 0, p.id)),
    ...others.map((v) => side(`view ${v.id}`, v.name, v.id)),
  ];
  return { sheet, sides, error: sheet.error ?? alternatives.error ?? history.error };
}

/** The named revisions of a view. */
export function useAlternatives(view: string) {
  return useQuery({
    queryKey: ["alternatives", view],
    queryFn: () => data(server.GET("/api/views/{view}/alternatives", { params: { path: { view } } })),
    enabled: !!view,
  });
}

const query = ({ revision, without }: Side) => new URLSearchParams({ revision: `${revision}`, without });

/** Where a side's picture is. */
export function pictureOf(of: Side): string {
  const asked = query(of);
  asked.set("edge", "2400");
  return `/api/views/${of.view}/compare/picture?${asked.toString()}`;
}

/** Both sides at one place, at shares of their width and height, and how far they lie apart. */
export function readingsOf(a: Side, b: Side, x: number, y: number) {
  return data(
    server.POST("/api/views/{id}/compare/readings", {
      params: {
        path: { id: a.view },
        query: { revision: a.revision, without: a.without, x, y },
      },
      body: { view: b.view, revision: b.revision, without: b.without },
    }),
  );
}

/** Where the difference of two sides of one view is. */
export function differenceOf(a: Side, b: Side): string {
  const asked = new URLSearchParams({
    a: `${a.revision}`,
    aWithout: a.without,
    b: `${b.revision}`,
    bWithout: b.without,
  });
  return `/api/views/${a.view}/compare/difference?${asked.toString()}`;
}

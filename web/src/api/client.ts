import type { components } from "./schema";

type Schemas = components["schemas"];
export type Shoot = Schemas["ShootCard"];
export type ViewCard = Schemas["ViewCard"];
export type ViewSheet = Schemas["ViewSheet"];
export type Frame = Schemas["FrameCard"];
export type CardSheet = Schemas["CardSheet"];
export type CardView = Schemas["CardView"];
export type CardFrame = Schemas["CardFrame"];
export type Recipe = Schemas["Recipe"];
export type RecipeState = Schemas["RecipeState"];
export type Region = Schemas["Region"];
export type Part = Schemas["Part"];
export type Shape = Schemas["Shape"];
export type Brush = Schemas["Brush"];
export type Stroke = Schemas["Stroke"];
export type Look = Schemas["Look"];
export type BalanceBoard = Schemas["BalanceBoard"];
export type ClearCasts = Schemas["ClearCasts"];
export type FlashTrouble = Schemas["FlashTrouble"];
export type ToneBand = Schemas["ToneBand"];
export type ToneCurve = Schemas["ToneCurve"];
export type ColourBand = Schemas["ColourBand"];
export type SimilarColour = Schemas["SimilarColour"];
export type Point = Schemas["Point"];
export type Pass = Schemas["Pass"];
export type Move = Schemas["Move"];
export type Gate = Schemas["Gate"];
export type Ground = Schemas["Ground"];
export type EvenBlend = Schemas["EvenBlend"];
export type Kind = Schemas["Kind"];
export type Numbered = Schemas["Numbered"];
export type Offer = Schemas["Offer"];
export type Group = Schemas["Group"];
export type Balance = Schemas["Balance"];
export type Solved = Schemas["Solved"];
export type Finding = Schemas["Finding"];
export type Thing = Schemas["Thing"];
export type Control = Schemas["Number"];
export type Job = Schemas["Told"];
export type Role = Frame["role"];
export type DeliveredFile = Schemas["File"];
export type Signed = Schemas["Signed"];
export type Said = Schemas["Said"];

/** A refusal that says what happened. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    message: string,
  ) {
    super(message);
  }
}

function token(): string {
  const found = document.cookie.split("; ").find((c) => c.startsWith("XSRF-TOKEN="));
  return found ? decodeURIComponent(found.slice(11)) : "";
}

interface Ask {
  method?: string;
  body?: unknown;
  edition?: number;
  /** Whether it is to arrive even if the page is left meanwhile; small bodies only. */
  leaving?: boolean;
}

export async function ask<T>(path: string, how: Ask = {}): Promise<T> {
  const answer = await answered(path, how);
  return answer.status === 204 ? (undefined as T) : ((await answer.json()) as T);
}

/** Asks for a picture; gives an address for it that is good until the page is left. */
export async function askPicture(path: string, how: Ask = {}): Promise<string> {
  return URL.createObjectURL(await (await answered(path, how)).blob());
}

async function answered(path: string, { method = "GET", body, edition, leaving }: Ask): Promise<Response> {
  const headers: Record<string, string> = {};
  if (body !== undefined) headers["Content-Type"] = "application/json";
  if (method !== "GET") headers["X-XSRF-TOKEN"] = token();
  if (edition !== undefined) headers["If-Match"] = `"${edition}"`;
  let answer: Response;
  try {
    answer = await fetch(path, {
      method,
      headers,
      body: body === undefined ? undefined : JSON.stringify(body),
      keepalive: leaving,
    });
  } catch {
    throw new Refused(0, "The server cannot be reached. Nothing that was saved is lost.");
  }
  if (!answer.ok) {
    const problem = await answer.json().catch(() => ({}));
    throw new Refused(answer.status, problem.detail ?? `The server answered ${answer.status}.`);
  }
  return answer;
}

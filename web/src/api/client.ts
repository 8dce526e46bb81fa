import createClient, { type Middleware } from "openapi-fetch";
import type { paths } from "./generated/schema";

/** A refusal that says what happened; status 0 where no answer came. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    message: string,
  ) {
    super(message);
  }
}

/** What an error says to a photographer. */
export function saidOf(e: unknown): string {
  return e instanceof Error ? e.message : String(e);
}

/** The token that a change carries, out of its cookie. */
export function token(): string {
  const found = document.cookie.split("; ").find((c) => c.startsWith("XSRF-TOKEN="));
  return found ? decodeURIComponent(found.slice(11)) : "";
}

/** Whether a refusal says that nobody is signed in: no session, or its token went with it. */
export const signedOut = (status: number) => status === 401 || status === 403;

const ended = new Set<() => void>();

/** Tells when the session has ended; the returned function stops it. */
export function onSessionEnd(tell: () => void): () => void {
  ended.add(tell);
  return () => ended.delete(tell);
}

const habits: Middleware = {
  onRequest({ request }) {
    if (request.method !== "GET") request.headers.set("X-XSRF-TOKEN", token());
  },
  async onResponse({ response, schemaPath }) {
    if (response.ok) return;
    const problem = (await response.json().catch(() => ({}))) as { detail?: string };
    // a refusal by somebody's role says so in words
    const refused = response.status === 403 && problem.detail;
    if (signedOut(response.status) && !refused && schemaPath !== "/api/session")
      ended.forEach((tell) => tell());
    throw new Refused(response.status, problem.detail ?? `The server answered ${response.status}.`);
  },
  onError() {
    return new Refused(0, "The server cannot be reached. Nothing that was saved is lost.");
  },
};

/** The server, typed by its description. Refusals are thrown as {@link Refused}. */
export const server = createClient<paths>({ baseUrl: "", bodySerializer: (body) => JSON.stringify(body) });
server.use(habits);

/** The answer's data; what was refused has been thrown already. */
export async function data<T>(answer: Promise<{ data?: T }>): Promise<T> {
  return (await answer).data as T;
}

/** How a recipe's edition travels. */
export const ifMatch = (edition: number) => ({ "If-Match": `"${edition}"` });

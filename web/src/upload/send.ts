import { type DetailedError, Upload } from "tus-js-client";
import { data, Refused, server, token } from "../api/client";
import { sha256 } from "./kinds";

/** What a file comes to. */
export interface Watcher {
  reading: () => void;
  sent: (bytes: number) => void;
  done: () => void;
  refused: (why: string) => void;
  /** No answer, or nobody signed in: it is to be tried again. */
  broken: (status: number) => void;
}

/** Meaning of the server's refusals; any other failure is tried again. */
const REFUSALS: Record<number, string> = {
  404: "its shoot is in the bin or was deleted",
  413: "it is larger than the largest file that can be sent",
  460: "it changed while it was sent, or did not arrive whole",
  507: "the disk has no room for it",
};

const statusOf = (e: Error | DetailedError) =>
  "originalResponse" in e ? (e.originalResponse?.getStatus() ?? 0) : 0;

/** Sends one file from where it was left; the returned function stops it there. */
export function send(shoot: string, file: File, watch: Watcher): () => void {
  let stopped = false;
  let upload: Upload | undefined;
  const begin = async () => {
    watch.reading();
    const sha = await sha256(file);
    if (sha && (await isHere(shoot, sha))) {
      if (!stopped) watch.done();
      return;
    }
    upload = new Upload(file, {
      endpoint: `/api/shoots/${shoot}/uploads`,
      metadata: { filename: file.name, ...(sha && { sha256: sha }) },
      retryDelays: [0, 1000, 3000, 5000],
      removeFingerprintOnSuccess: true,
      onBeforeRequest: (r) => {
        r.setHeader("X-XSRF-TOKEN", token());
      },
      onShouldRetry: (e) => {
        const status = statusOf(e);
        return status === 0 || status === 409 || status === 423 || (status >= 500 && status !== 507);
      },
      onProgress: (bytes) => watch.sent(bytes),
      onSuccess: () => watch.done(),
      onError: (e) => {
        const why = REFUSALS[statusOf(e)];
        if (why) watch.refused(why);
        else watch.broken(statusOf(e));
      },
    });
    const [before] = await upload.findPreviousUploads();
    if (before) upload.resumeFromPreviousUpload(before);
    if (!stopped) upload.start();
  };
  begin().catch((e: unknown) => {
    const status = e instanceof Refused ? e.status : 0;
    const unreadable = e instanceof DOMException && e.name === "NotReadableError";
    const why = unreadable ? "it can no longer be read on this computer" : REFUSALS[status];
    if (why) watch.refused(why);
    else watch.broken(status);
  });
  return () => {
    stopped = true;
    void upload?.abort();
  };
}

async function isHere(shoot: string, sha: string): Promise<boolean> {
  const known = await data(
    server.POST("/api/shoots/{shoot}/arrivals/known", {
      params: { path: { shoot } },
      body: { hashes: [sha] },
    }),
  );
  return known.here.includes(sha);
}

import { WebSocket } from "partysocket";
import { data, server } from "../api/client";
import type {
  Answer,
  Look,
  MaskAnswer,
  PictureAnswer,
  PictureRequest,
  Probe,
  ProbeReading,
  Raster,
  Reading,
  Recipe,
  Request,
} from "../api/types";

/**
 * What a picture is for: the stage, the other side of a wipe, or nothing but that the server keeps what the next one
 * needs. The stage's picture comes before the others.
 */
export type Use = "stage" | "before" | "ahead";

export interface Listener {
  picture: (head: PictureAnswer, image: ImageBitmap, roundMs: number, use: Use) => void;
  /** Whether a picture is under way. */
  busy: (is: boolean) => void;
  mask: (head: MaskAnswer, image: ImageBitmap) => void;
  read: (probes: ProbeReading[]) => void;
  problem: (said: string | undefined) => void;
  connected: (is: boolean) => void;
}

/** A picture's strips, decoded side by side and put under one another. */
async function joined(head: PictureAnswer, body: Uint8Array<ArrayBuffer>): Promise<ImageBitmap> {
  let at = 0;
  const images = await Promise.all(
    head.strips.map((s) => createImageBitmap(new Blob([body.subarray(at, (at += s.bytes))]))),
  );
  if (images.length === 1 && images[0]) return images[0];
  const whole = new OffscreenCanvas(head.raster.width, head.raster.height);
  const pen = whole.getContext("2d", { alpha: false });
  let y = 0;
  images.forEach((image, k) => {
    pen?.drawImage(image, 0, y);
    image.close();
    y += head.strips[k]?.rows ?? 0;
  });
  return whole.transferToImageBitmap();
}

interface Waiting {
  done: (reading: Reading) => void;
  failed: (why: Error) => void;
}

/**
 * The line to the server's renderer. At most one picture request is under way; while it is, only the newest of
 * the following ones is kept. A line that breaks is taken up again by itself.
 */
export class Preview {
  private readonly socket: WebSocket;
  private seq = 0;
  private readonly sent = new Map<number, { at: number; use: Use }>();
  private busy = false;
  private next?: () => void;
  private lastPicture?: () => void;
  private readonly picks = new Map<string, Waiting>();

  constructor(
    view: string,
    private readonly to: Listener,
  ) {
    const scheme = location.protocol === "https:" ? "wss" : "ws";
    const socket = new WebSocket(`${scheme}://${location.host}/ws/views/${view}`, [], {
      minReconnectionDelay: 500,
      maxReconnectionDelay: 8000,
      maxEnqueuedMessages: 0,
    });
    socket.binaryType = "arraybuffer";
    socket.addEventListener("open", () => {
      this.busy = false;
      this.sent.clear();
      // the picture before all that is asked for besides
      (this.next ?? this.lastPicture)?.();
      this.next = undefined;
      to.connected(true);
    });
    socket.addEventListener("message", (e) => void this.receive(e.data as ArrayBuffer));
    socket.addEventListener("close", () => {
      to.connected(false);
      this.giveUpPicks("The line to the server broke. Pick the colour again.");
      // a session that has ended leads to sign-in
      void data(server.GET("/api/shoots")).catch(() => {});
    });
    this.socket = socket;
  }

  close() {
    this.giveUpPicks("The view was left.");
    this.socket.close();
  }

  private giveUpPicks(why: string) {
    this.picks.forEach((p) => p.failed(new Error(why)));
    this.picks.clear();
  }

  private async receive(message: ArrayBuffer) {
    const length = new DataView(message).getUint32(0);
    const head = JSON.parse(new TextDecoder().decode(new Uint8Array(message, 4, length))) as Answer;
    const body = new Uint8Array(message, 4 + length);
    switch (head.kind) {
      case "read":
        return this.to.read(head.probes);
      case "mask":
        return this.to.mask(head, await createImageBitmap(new Blob([body])));
      case "pick":
        this.picks.get(head.slot)?.done(head.reading);
        this.picks.delete(head.slot);
        return;
      case "problem":
        return this.failed(head.request, head.seq, head.slot, head.said);
      case "picture": {
        const image = await joined(head, body);
        const { at, use } = this.sent.get(head.seq) ?? { at: performance.now(), use: "stage" };
        this.sent.delete(head.seq);
        this.to.problem(undefined);
        this.done();
        this.to.picture(head, image, performance.now() - at, use);
      }
    }
  }

  /** Only a picture's failure frees the picture's place; a pick that fails ends. */
  private failed(request: string, seq: number, slot: string, said: string) {
    if (request === "pick") {
      this.picks.get(slot)?.failed(new Error(said));
      this.picks.delete(slot);
      return;
    }
    if (request === "picture") {
      this.sent.delete(seq);
      this.done();
    }
    this.to.problem(said);
  }

  private done() {
    this.busy = false;
    const next = this.next;
    this.next = undefined;
    if (next) next();
    else this.to.busy(false);
  }

  private send(message: Request) {
    if (this.socket.readyState === WebSocket.OPEN) this.socket.send(JSON.stringify(message));
  }

  /** Whether it goes out now or is the next to; one that is not for the stage does neither while others do. */
  picture(ask: Omit<PictureRequest, "kind" | "seq" | "aside">, use: Use = "stage"): boolean {
    const at = performance.now();
    const go = () => {
      this.busy = true;
      if (use !== "ahead") this.to.busy(true);
      const seq = ++this.seq;
      this.sent.set(seq, { at, use });
      this.send({ kind: "picture", seq, aside: use !== "stage", ...ask });
    };
    if (use !== "stage" && this.busy) return false;
    if (use === "stage") this.lastPicture = go;
    if (this.busy || this.socket.readyState !== WebSocket.OPEN) this.next = go;
    else go();
    return true;
  }

  mask(slot: string, laid: { recipe: Recipe; uncut: boolean }, region: string, raster: Raster) {
    this.send({ kind: "mask", slot, seq: ++this.seq, region, raster, ...laid });
  }

  /** The colour of what a part looks at round a place, pixels at full size. */
  pick(recipe: Recipe, look: Look, x: number, y: number, radius: number): Promise<Reading> {
    const slot = String(++this.seq);
    this.send({ kind: "pick", slot, seq: this.seq, recipe, look, x, y, radius });
    return new Promise((done, failed) => this.picks.set(slot, { done, failed }));
  }

  read(probes: Probe[]) {
    this.send({ kind: "read", seq: ++this.seq, probes });
  }
}

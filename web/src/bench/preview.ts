import type { BalanceBoard, Look, Recipe } from "../api/client";

export interface Raster {
  scale: number;
  x: number;
  y: number;
  width: number;
  height: number;
}

export interface Reading {
  lab: { l: number; a: number; b: number };
  spread: number;
  stops: number;
  srgb: number[];
  trusted: boolean;
}

export interface ProbeReading {
  id: string;
  reading?: Reading;
  /** CIEDE2000 against the first probe. */
  difference?: number;
}

export interface Histogram {
  light: number[];
  red: number[];
  green: number[];
  blue: number[];
  burnt: number;
  blocked: number;
}

export interface PictureHead {
  kind: "picture";
  seq: number;
  raster: Raster;
  histogram: Histogram;
  probes: ProbeReading[];
  strips: { rows: number; bytes: number }[];
  renderMs: number;
  serverMs: number;
}

export interface MaskHead {
  kind: "mask";
  slot: string;
  seq: number;
  raster: Raster;
  share: number;
  bytes: number;
}

/** The colour of what a part looks at, at a place that was pressed. */
export interface PickedHead {
  kind: "picked";
  slot: string;
  reading: Reading;
}

export interface Listener {
  picture: (head: PictureHead, image: ImageBitmap, roundMs: number) => void;
  mask: (head: MaskHead, image: ImageBitmap) => void;
  read: (probes: ProbeReading[]) => void;
  problem: (said: string) => void;
  connected: (is: boolean) => void;
}

export type Probe = BalanceBoard["probes"][number];

/** A picture's strips, decoded side by side and put under one another. */
async function joined(head: PictureHead, body: Uint8Array<ArrayBuffer>) {
  let at = 0;
  const images = await Promise.all(
    head.strips.map((s) => createImageBitmap(new Blob([body.subarray(at, (at += s.bytes))]))),
  );
  if (images.length === 1) return images[0]!;
  const whole = new OffscreenCanvas(head.raster.width, head.raster.height);
  const pen = whole.getContext("2d", { alpha: false })!;
  let y = 0;
  head.strips.forEach((s, k) => {
    pen.drawImage(images[k]!, 0, y);
    images[k]!.close();
    y += s.rows;
  });
  return whole.transferToImageBitmap();
}

/**
 * The line to the renderer. At most one picture request is under way; while it is, only the newest of
 * the following ones is kept.
 */
export class Preview {
  private socket?: WebSocket;
  private seq = 0;
  private sent = new Map<number, number>();
  private busy = false;
  private next?: () => void;
  private timer?: ReturnType<typeof setTimeout>;
  private closed = false;
  private picks = new Map<string, (reading: Reading) => void>();
  private lastPicture?: () => void;

  constructor(
    private readonly view: string,
    private readonly to: Listener,
  ) {
    this.connect();
  }

  private connect() {
    const socket = new WebSocket(
      `${location.protocol === "https:" ? "wss" : "ws"}://${location.host}/ws/views/${this.view}`,
    );
    socket.binaryType = "arraybuffer";
    socket.onopen = () => {
      this.to.connected(true);
      this.busy = false;
      (this.next ?? this.lastPicture)?.();
      this.next = undefined;
    };
    socket.onmessage = (e) => void this.receive(e.data as ArrayBuffer);
    socket.onclose = () => {
      if (this.closed) return;
      this.to.connected(false);
      this.timer = setTimeout(() => this.connect(), 1000);
    };
    this.socket = socket;
  }

  close() {
    this.closed = true;
    clearTimeout(this.timer);
    this.socket?.close();
  }

  private async receive(data: ArrayBuffer) {
    const length = new DataView(data).getUint32(0);
    const head = JSON.parse(new TextDecoder().decode(new Uint8Array(data, 4, length))) as
      | PictureHead
      | MaskHead
      | PickedHead
      | { kind: "read"; probes: ProbeReading[] }
      | { kind: "problem"; seq: number; said: string };
    const body = new Uint8Array(data, 4 + length);
    if (head.kind === "read") return this.to.read(head.probes);
    if (head.kind === "problem") {
      this.done();
      return this.to.problem(head.said);
    }
    if (head.kind === "picked") {
      this.picks.get(head.slot)?.(head.reading);
      this.picks.delete(head.slot);
      return;
    }
    if (head.kind === "mask") return this.to.mask(head, await createImageBitmap(new Blob([body])));
    const image = await joined(head, body);
    const asked = this.sent.get(head.seq) ?? performance.now();
    this.sent.delete(head.seq);
    this.to.picture(head, image, performance.now() - asked);
    this.done();
  }

  private done() {
    this.busy = false;
    const next = this.next;
    this.next = undefined;
    next?.();
  }

  private send(message: object) {
    if (this.socket?.readyState === WebSocket.OPEN) this.socket.send(JSON.stringify(message));
  }

  picture(ask: {
    draft: boolean;
    recipe?: Recipe;
    frame?: string;
    raster: Raster;
    probes: Probe[];
    quality: number;
  }) {
    const asked = performance.now();
    const go = () => {
      this.busy = true;
      const seq = ++this.seq;
      this.sent.set(seq, asked);
      this.send({ kind: "picture", seq, ...ask });
    };
    this.lastPicture = go;
    if (this.busy || this.socket?.readyState !== WebSocket.OPEN) this.next = go;
    else go();
  }

  mask(slot: string, recipe: Recipe, region: string, raster: Raster) {
    this.send({ kind: "mask", slot, seq: ++this.seq, recipe, region, raster });
  }

  /** The colour of what a part looks at round a place, pixels at full size. */
  pick(recipe: Recipe, look: Look, x: number, y: number, radius: number): Promise<Reading> {
    const slot = String(++this.seq);
    this.send({ kind: "pick", slot, recipe, look, x, y, radius });
    return new Promise((done) => this.picks.set(slot, done));
  }

  read(probes: Probe[]) {
    this.send({ kind: "read", seq: ++this.seq, probes });
  }
}

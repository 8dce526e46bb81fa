import type { Recipe, Region } from "../api/client";

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
  sentences?: string[];
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

export interface Listener {
  picture: (head: PictureHead, image: ImageBitmap, roundMs: number) => void;
  mask: (head: MaskHead, image: ImageBitmap) => void;
  read: (probes: ProbeReading[]) => void;
  problem: (said: string) => void;
  connected: (is: boolean) => void;
}

interface Probe {
  id: string;
  x: number;
  y: number;
  radius: number;
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
      | { kind: "read"; probes: ProbeReading[] }
      | { kind: "problem"; seq: number; said: string };
    const body = new Uint8Array(data, 4 + length);
    if (head.kind === "read") return this.to.read(head.probes);
    if (head.kind === "problem") {
      this.done();
      return this.to.problem(head.said);
    }
    const image = await createImageBitmap(new Blob([body]));
    if (head.kind === "mask") return this.to.mask(head, image);
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
    recipe?: Recipe;
    frame?: string;
    frameNames: Record<string, string>;
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

  mask(slot: string, region: Region, raster: Raster) {
    this.send({ kind: "mask", slot, seq: ++this.seq, region, raster });
  }

  read(probes: Probe[]) {
    this.send({ kind: "read", seq: ++this.seq, probes });
  }
}

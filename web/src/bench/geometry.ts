import type { Raster } from "../api/types";

/** How far the stage is zoomed in; the middle of the stage in pixels at full size. */
export interface Zoom {
  fit: boolean;
  scale: number;
  cx: number;
  cy: number;
}

export interface Size {
  width: number;
  height: number;
}

/** Where the picture lies on the stage. */
export interface Placed {
  scale: number;
  /** The scale at which all of it is seen. */
  fit: number;
  /** Upper left corner on the stage. */
  ox: number;
  oy: number;
  /** The picture in pixels at full size. */
  w: number;
  h: number;
}

const MARGIN = 36;
const MOST = 4;

/** Places a picture on a stage. */
export function placed(w: number, h: number, stage: Size, zoom: Zoom): Placed {
  const fit = Math.max(0.01, Math.min((stage.width - MARGIN) / w, (stage.height - MARGIN) / h, 1));
  const scale = zoom.fit ? fit : zoom.scale;
  const cx = zoom.fit ? w / 2 : zoom.cx;
  const cy = zoom.fit ? h / 2 : zoom.cy;
  return {
    scale,
    fit,
    ox: Math.round(stage.width / 2 - cx * scale),
    oy: Math.round(stage.height / 2 - cy * scale),
    w,
    h,
  };
}

/** The piece of a placed picture that is on the stage; nothing where it lies beside it. */
export function piece(g: Placed, stage: Size): Raster | undefined {
  const x = Math.max(0, -g.ox);
  const y = Math.max(0, -g.oy);
  const width = Math.min(Math.round(g.w * g.scale), stage.width - g.ox) - x;
  const height = Math.min(Math.round(g.h * g.scale), stage.height - g.oy) - y;
  return width > 0 && height > 0 ? { scale: g.scale, x, y, width, height } : undefined;
}

/** Half as many pixels each way of what a raster shows. */
export function coarser(r: Raster, g: Placed): Raster {
  const scale = r.scale / 2;
  const x = Math.floor(r.x / 2);
  const y = Math.floor(r.y / 2);
  return {
    scale,
    x,
    y,
    width: Math.min(Math.round(g.w * scale), Math.ceil((r.x + r.width) / 2)) - x,
    height: Math.min(Math.round(g.h * scale), Math.ceil((r.y + r.height) / 2)) - y,
  };
}

/** The zoom at another scale, with a point of the stage staying where it is. */
export function pulled(g: Placed, stage: Size, scale: number, x: number, y: number): Zoom {
  const s = Math.min(MOST, Math.max(g.fit * 0.5, scale));
  const px = (x - g.ox) / g.scale;
  const py = (y - g.oy) / g.scale;
  return { fit: false, scale: s, cx: px + (stage.width / 2 - x) / s, cy: py + (stage.height / 2 - y) / s };
}

import TileLayer from 'ol/layer/Tile.js';
import XYZ from 'ol/source/XYZ.js';

/** Map tiles from an address the owner set, turned into the place's own metres. */
export const tileLayer = (address: string, visible: boolean): TileLayer<XYZ> =>
  new TileLayer({ source: new XYZ({ url: address }), zIndex: 0, visible, opacity: 0.8 });

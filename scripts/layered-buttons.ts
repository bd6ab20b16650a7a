import type { Plugin } from 'vite';

const NO_COLOURS = '\0no-colours';

/**
 * The library's buttons in the look of this application. Their own style goes into a cascade layer, so that `.btn`, outside of
 * any layer, wins whichever of the two comes last; buttons inside the library's parts keep what the library gives them. The
 * arithmetic for buttons with a colour of their own is left out of what is sent: there are none.
 */
export const layeredButtons = (): Plugin => ({
  name: 'layered-buttons',
  enforce: 'pre',
  resolveId: (source, from) =>
    source === '@ctrl/tinycolor' && /button-custom/.test(from ?? '') ? NO_COLOURS : null,
  load: (id) => (id === NO_COLOURS ? 'export class TinyColor {}' : null),
  transform: (code, id) =>
    /theme-chalk[\\/]el-button\.css/.test(id) ? { code: `@layer library {\n${code}\n}`, map: null } : null,
});

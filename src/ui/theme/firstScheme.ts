/** Where the theme's own provider keeps the choice of lamp, and how it marks the page. */
export const MODE_KEY = 'mui-mode';
export const SCHEME_ATTRIBUTE = 'data-bench';

/**
 * Run before anything is drawn: marks the page with the lamp that was chosen here, else with the system's. The library's own
 * script takes itself out again once the page is awake, and with that has the whole of it drawn anew.
 */
export const firstScheme = `(function () {
  try {
    var mode = localStorage.getItem(${JSON.stringify(MODE_KEY)}) || 'system';
    var isDark = mode === 'dark' || (mode === 'system' && matchMedia('(prefers-color-scheme: dark)').matches);
    document.documentElement.setAttribute(${JSON.stringify(SCHEME_ATTRIBUTE)}, isDark ? 'dark' : 'light');
  } catch (e) {}
})();`;

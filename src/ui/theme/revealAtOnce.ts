/**
 * Run before anything is drawn: what has arrived is shown with the next frame. The framework's own script holds it back for
 * 300 ms after the first paint, so that placeholders do not go one after another; here nearly all of a page comes a moment after
 * its frame, and whoever waits would look at placeholders for nothing. It takes the time of the first paint from this name, and
 * shows at once what comes while there is none.
 */
export const revealAtOnce = `try {
  Object.defineProperty(window, '$RT', { get: function () {}, set: function () {} });
} catch (e) {}`;

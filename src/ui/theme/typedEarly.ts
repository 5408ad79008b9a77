/** Where the document keeps what was typed into it before its page was awake. */
export const KEPT = '__typedEarly';
/**
 * Run before anything is drawn: a page on a slow line can be typed into before it is awake, and whatever stands in its fields
 * then is written over as it wakes. It is kept here, until `retype` gives it back.
 */
export const keepTypedEarly = `(function () {
  var kept = (window.${KEPT} = new Map());
  document.addEventListener('input', function (e) {
    var f = e.target;
    if (f && /^(INPUT|TEXTAREA|SELECT)$/.test(f.tagName) && !/^(checkbox|radio|file|password)$/.test(f.type)) kept.set(f, f.value);
  }, true);
})();`;

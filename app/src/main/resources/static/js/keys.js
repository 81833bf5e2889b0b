// Single keys click or focus the element that carries them in data-key; never while somebody types,
// and not when the person has switched them off.
const TYPING = "input:not([type=checkbox]):not([type=radio]), textarea, select, [contenteditable]";

export function isTyping(target) {
  return target.closest?.(TYPING) !== null;
}

/** What carries a key: in the drawer first, which lies over the page. */
export function carrier(key) {
  const css = `[data-key="${CSS.escape(key)}"]`;
  const drawer = document.querySelector("#drawer:not([hidden])");
  return drawer?.querySelector(css) ?? document.querySelector(`main ${css}`) ?? document.querySelector(css);
}

export function press(target) {
  if (!target || target.disabled) return false;
  if (target.matches(TYPING)) {
    target.focus();
  } else target.click();
  return true;
}

document.addEventListener("keydown", (event) => {
  if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
  if (event.key.length === 1 && document.body.dataset.singleKeys === "false") return;
  if (isTyping(event.target) || document.querySelector("dialog[open]")) return;
  if (press(carrier(event.key))) event.preventDefault();
});

// Ctrl S saves what is written; Ctrl Z takes the last change back and, pressed again, the one before; with Shift it
// does again what was taken back. Not while somebody types.
document.addEventListener("keydown", (event) => {
  if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
  const key = event.key.toLowerCase();
  if (key === "s" && !event.shiftKey) {
    const save = document.querySelector("[data-save]");
    if (!save) return;
    event.preventDefault();
    save.click();
  } else if (key === "z" && !isTyping(event.target) && !document.querySelector("dialog[open]")) {
    const form = document.querySelector(event.shiftKey ? "#redo-latest" : "#undo-latest");
    if (!form) return;
    event.preventDefault();
    form.requestSubmit();
  }
});

// data-back: a change made beside a page leads back to it; what is data-onward leads on to somewhere else.
document.addEventListener("htmx:configRequest", (event) => {
  const onward = event.detail.elt.hasAttribute("data-onward");
  const form = event.detail.elt.closest("[data-back]") ?? event.detail.elt.closest("#drawer");
  if (form && !onward && event.detail.verb === "post" && !event.detail.parameters.back) event.detail.parameters.back = location.pathname + location.search;
});
document.addEventListener("submit", (event) => {
  const form = event.target;
  if (!form.matches("[data-back]") || form.hasAttribute("hx-post") || form.elements.back) return;
  const back = document.createElement("input");
  back.type = "hidden";
  back.name = "back";
  back.value = location.pathname + location.search;
  form.append(back);
});

// A form beside a page that is refused says so where it stands, and the page stays.
document.addEventListener("htmx:beforeSwap", (event) => {
  const { xhr, requestConfig } = event.detail;
  const form = requestConfig?.elt;
  if (!form || ![403, 409, 422].includes(xhr.status)) return;
  const slot = form.closest("#drawer")?.querySelector("[data-said]") ?? (form.closest("[data-stay]") && document.querySelector("main [data-said]"));
  if (!slot) return;
  const page = new DOMParser().parseFromString(xhr.responseText, "text/html");
  const words = page.querySelector("main .warning, main [role=alert]") ?? page.querySelector("main p");
  if (!words) return;
  event.detail.shouldSwap = false;
  event.detail.isError = false;
  slot.replaceChildren(document.adoptNode(words));
  slot.setAttribute("data-back", "");
  htmx.process(slot);
  slot.querySelector("button, a, input")?.focus();
  slot.scrollIntoView({ block: "nearest" });
});

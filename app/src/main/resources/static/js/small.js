// Small behaviours, each bound to one attribute.

// What is pasted from a PDF may hold control characters, which no field takes; they go as they come.
const CONTROL = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f]/g;
document.addEventListener("input", (event) => {
  const field = event.target;
  if (!field.matches?.("textarea, input:not([type=file])") || field.value.search(CONTROL) < 0) return;
  const caret = field.selectionEnd;
  const before = field.value.slice(0, caret ?? 0).replace(CONTROL, "").length;
  field.value = field.value.replace(CONTROL, "");
  if (caret !== null) field.setSelectionRange(before, before);
});

// data-guard: leaving a form with unsaved words asks first.
let unsaved = null;
document.addEventListener("input", (event) => {
  const form = event.target.closest("form[data-guard]") ?? event.target.form?.closest("[data-guard]");
  if (form) unsaved = form;
});
document.addEventListener("submit", (event) => {
  if (event.target === unsaved) unsaved = null;
});
window.addEventListener("beforeunload", (event) => {
  if (unsaved?.isConnected) event.preventDefault();
});

// A form that was refused comes back with the words still unsaved.
if (document.querySelector("#conflict")) unsaved = document.querySelector("form[data-guard]");

// data-longest: what is too long is said where it is typed, and nothing of it is cut.
document.addEventListener("input", (event) => {
  const longest = Number(event.target.dataset.longest);
  if (!longest) return;
  const typed = event.target.value.length;
  const fault = typed > longest ? `At most ${longest} characters; this has ${typed}. Nothing was cut.` : "";
  event.target.setCustomValidity(fault);
  if (fault) event.target.reportValidity();
});

// data-once: a slow form is sent once, and its button says what is going on.
document.addEventListener("submit", (event) => {
  const button = event.submitter;
  if (!button?.matches("[data-once]") || event.defaultPrevented) return;
  button.dataset.idle = button.textContent;
  setTimeout(() => {
    button.disabled = true;
    if (button.dataset.once) button.textContent = button.dataset.once;
  }, 0);
});
function restore() {
  document.querySelectorAll("[data-once]:disabled").forEach((button) => {
    button.disabled = false;
    button.textContent = button.dataset.idle;
  });
}
window.addEventListener("pageshow", restore);
// Refused, or no answer at all: it can be pressed again.
document.addEventListener("htmx:afterRequest", restore);

// data-reread: a changed choice previews the file again. A spreadsheet has a sheet in place of the
// other two. Columns chosen by hand are kept only while the file is cut into the same ones.
document.addEventListener("change", (event) => {
  if (!event.target.matches("[data-reread]")) return;
  const form = event.target.form;
  const address = new URL(form.action);
  ["charset", "delimiter", "sheet", "headerRow"]
    .filter((name) => form.elements[name])
    .filter((name) => name !== "headerRow" || event.target.name === name)
    .forEach((name) => address.searchParams.set(name, form.elements[name].value));
  window.location.assign(address);
});

// data-with-marks: takes along what is marked for another form.
document.addEventListener("submit", (event) => {
  const marks = event.target.dataset.withMarks && document.querySelector(event.target.dataset.withMarks);
  if (!marks) return;
  const marked = new FormData(marks).getAll("marked");
  event.target.replaceChildren(...marked.map((value) => Object.assign(document.createElement("input"), { type: "hidden", name: "marked", value })));
});

// data-print
document.addEventListener("click", (event) => {
  if (event.target.closest("[data-print]")) window.print();
});

// data-own-zone: a list of time zones proposes the browser's.
for (const list of document.querySelectorAll("select[data-own-zone]")) {
  const own = Intl.DateTimeFormat().resolvedOptions().timeZone;
  if ([...list.options].some((option) => option.value === own)) list.value = own;
}

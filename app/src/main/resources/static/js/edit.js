// A value becomes a field when it is clicked, or by F2; Enter saves, Esc leaves it as it was.
function openField(edit) {
  const form = edit.querySelector("form");
  edit.querySelector("[data-edit-open]").hidden = true;
  form.hidden = false;
  const field = form.querySelector("input:not([type=hidden])");
  field.focus();
  if (field.type === "text") field.select();
}

function leave(edit, back) {
  const form = edit.querySelector("form");
  form.reset();
  form.hidden = true;
  const value = edit.querySelector("[data-edit-open]");
  value.hidden = false;
  if (back) value.focus();
}

document.addEventListener("click", (event) => {
  const value = event.target.closest("[data-edit-open]");
  if (value) openField(value.closest("[data-edit]"));
});

document.addEventListener("keydown", (event) => {
  if (event.key === "F2") {
    const at = document.activeElement;
    const edit = at?.closest?.("[data-edit]") ?? at?.closest?.("[data-row]")?.querySelector("[data-edit]") ?? document.querySelector("#drawer:not([hidden]) [data-edit], main h1 [data-edit]");
    if (!edit) return;
    event.preventDefault();
    openField(edit);
  }
  const open = event.target.closest?.("[data-edit] form");
  if (open && event.key === "Escape") {
    event.preventDefault();
    leave(open.closest("[data-edit]"), true);
  } else if (open && event.key === "Enter") {
    event.preventDefault();
    open.requestSubmit();
  }
});

// Going elsewhere without a change closes the field; a change that was not saved stays open to be seen.
document.addEventListener("focusout", (event) => {
  const edit = event.target.closest?.("[data-edit]");
  if (!edit || edit.contains(event.relatedTarget)) return;
  const field = edit.querySelector("form:not([hidden]) input:not([type=hidden])");
  if (field && field.value === field.defaultValue) leave(edit, false);
});

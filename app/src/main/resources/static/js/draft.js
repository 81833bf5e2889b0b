// Writing: preview instead of the text, a line of the check shown in the text.
function textarea() {
  return document.querySelector(".draft-text");
}

document.addEventListener("click", async (event) => {
  const toggle = event.target.closest("[data-preview]");
  if (toggle) {
    const show = toggle.getAttribute("aria-pressed") !== "true";
    const text = textarea();
    if (show) await htmx.ajax("POST", text.dataset.previewFrom, { target: "#preview", select: "#preview", swap: "outerHTML", values: { text: text.value } });
    document.querySelector("#preview").hidden = !show;
    document.querySelector("#draft-form").hidden = show;
    toggle.setAttribute("aria-pressed", show);
    toggle.textContent = show ? "Write" : "Preview";
  }
  const line = event.target.closest("[data-line]");
  if (line && textarea()) {
    const text = textarea();
    const lines = text.value.split("\n");
    const from = lines.slice(0, Number(line.dataset.line) - 1).join("\n").length + (line.dataset.line > 1 ? 1 : 0);
    text.focus();
    text.setSelectionRange(from, from + lines[Number(line.dataset.line) - 1].length);
  }
});

/** Hands something over as a file. */
export function saveFile(name: string, content: Blob) {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(content);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 1000);
}

/** Hands a text over as a file. */
export function saveText(name: string, type: string, text: string) {
  saveFile(name, new Blob([text], { type }));
}

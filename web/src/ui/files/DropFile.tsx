import { type ReactNode, useState } from 'react';

interface DropProps {
  onFile: (file: File) => void;
  children: ReactNode; // with a way to choose one without dropping it
}

/** A place where a file can be dropped. */
export function DropFile({ onFile, children }: DropProps) {
  const [over, setOver] = useState(false);
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: what is dropped here can be chosen by what is inside, too
    <div
      className="drop"
      data-over={over || undefined}
      onDragOver={(e) => {
        if (!e.dataTransfer.types.includes('Files')) return;
        e.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(e) => {
        const file = e.dataTransfer.files[0];
        setOver(false);
        if (!file) return;
        e.preventDefault();
        e.stopPropagation(); // it is not meant for what lies around it
        onFile(file);
      }}
    >
      {children}
    </div>
  );
}

import { useState, type DragEvent } from 'react';

/**
 * A place that takes files from outside when they are dropped on it: what it is given, and whether something is held over
 * it. What stands inside and takes them itself is left to it.
 */
export function useDroppedFiles(onFiles: (files: File[]) => void) {
  const [isOver, setOver] = useState(false);
  return {
    isOver,
    drop: {
      onDragOver: (event: DragEvent) => {
        if (event.defaultPrevented || !event.dataTransfer.types.includes('Files')) {
          setOver(false);
          return;
        }
        event.preventDefault();
        setOver(true);
      },
      onDragLeave: () => setOver(false),
      onDrop: (event: DragEvent) => {
        setOver(false);
        if (event.defaultPrevented || event.dataTransfer.files.length === 0) return;
        event.preventDefault();
        onFiles([...event.dataTransfer.files]);
      },
    },
  };
}

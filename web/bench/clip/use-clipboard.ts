import { useEffect } from 'react';
import type { Clip } from '@sormet/core/carry';
import { isBroughtIn } from '../../canvas/file-branch';
import { isCovered } from '../../parts/covering';
import { useLatest } from '../../parts/use-latest';
import { clipIn } from './kept-clip';

/** What is done with what the clipboard is asked for, or holds. */
export interface ClipboardActs {
  readonly copy: (data: DataTransfer) => void;
  readonly cut: (data: DataTransfer) => void;
  readonly pasteClip: (clip: Clip) => void;
  readonly pasteFiles: (files: readonly File[]) => void;
  readonly pasteWords: (words: string) => void;
}

/** Hears of copying, cutting and pasting where that is about the page: what is on the clipboard is only told to who hears the event. */
export function useClipboard(acts: ClipboardActs): void {
  const latest = useLatest(acts);
  useEffect(() => {
    const mine = ({ clipboardData, target }: ClipboardEvent) =>
      isTyping(target) || isCovered() ? null : clipboardData;
    const onCopy = (event: ClipboardEvent) => {
      const data = mine(event);
      if (!data || hasWordsSelected()) return;
      event.preventDefault();
      if (event.type === 'cut') latest.current.cut(data);
      else latest.current.copy(data);
    };
    const onPaste = (event: ClipboardEvent) => {
      const data = mine(event);
      if (!data) return;
      event.preventDefault();
      const clip = clipIn(data);
      const files = [...data.files].filter(isBroughtIn);
      if (clip) latest.current.pasteClip(clip);
      else if (files.length > 0) latest.current.pasteFiles(files);
      else latest.current.pasteWords(data.getData('text/plain'));
    };
    document.addEventListener('copy', onCopy);
    document.addEventListener('cut', onCopy);
    document.addEventListener('paste', onPaste);
    return () => {
      document.removeEventListener('copy', onCopy);
      document.removeEventListener('cut', onCopy);
      document.removeEventListener('paste', onPaste);
    };
  }, [latest]);
}

function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    target.closest('input, textarea, select, [contenteditable="true"]') !== null
  );
}

/** Whether words of the interface are selected: those are copied as anywhere. */
function hasWordsSelected(): boolean {
  const words = window.getSelection();
  return words !== null && !words.isCollapsed && words.toString().trim() !== '';
}

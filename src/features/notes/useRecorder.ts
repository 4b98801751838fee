'use client';
import { useEffect, useRef, useState } from 'react';

/** A slip of a finger is no note. */
const SHORTEST_MS = 400;
const LONGEST_MS = 120_000;

/** Records sound while it is held; gives the whole recording when it is let go. */
export function useRecorder(onSound: (blob: Blob) => Promise<void>) {
  const [recording, setRecording] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const held = useRef<{ recorder: MediaRecorder | null; wanted: boolean; startedAt: number }>({
    recorder: null,
    wanted: false,
    startedAt: 0,
  });
  useEffect(() => {
    const state = held.current;
    return () => state.recorder?.stream.getTracks().forEach((track) => track.stop());
  }, []);

  async function start(): Promise<void> {
    const state = held.current;
    if (state.wanted) return;
    state.wanted = true;
    if (typeof MediaRecorder === 'undefined' || !(navigator as Partial<Navigator>).mediaDevices) {
      setProblem('This browser records no sound here. Type the note instead.');
      state.wanted = false;
      return;
    }
    try {
      const stream = await navigator.mediaDevices.getUserMedia({ audio: true });
      const recorder = new MediaRecorder(stream);
      const parts: Blob[] = [];
      recorder.ondataavailable = (event) => parts.push(event.data);
      recorder.onstop = () => {
        stream.getTracks().forEach((track) => track.stop());
        setRecording(false);
        if (Date.now() - state.startedAt >= SHORTEST_MS) void onSound(new Blob(parts, { type: recorder.mimeType }));
        else setProblem('Hold it while you speak.');
      };
      state.recorder = recorder;
      state.startedAt = Date.now();
      recorder.start();
      setRecording(true);
      setProblem(null);
      setTimeout(() => recorder.state === 'recording' && recorder.stop(), LONGEST_MS);
      // Let go while the microphone was still being asked for.
      if (!state.wanted) recorder.stop();
    } catch {
      setProblem('No microphone was given. Type the note instead.');
      state.wanted = false;
    }
  }
  function stop(): void {
    const state = held.current;
    state.wanted = false;
    if (state.recorder?.state === 'recording') state.recorder.stop();
  }
  return { recording, problem, start, stop };
}

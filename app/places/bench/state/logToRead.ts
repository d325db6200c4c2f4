/** A frame-time log that was pasted elsewhere and waits to be read on Bench. */
const waiting = shallowRef<File | null>(null)
export const useLogToRead = () => waiting

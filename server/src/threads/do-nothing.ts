/** What a thread is started with where others wait for one. */
export default function doNothing(): void {
  // A thread that has done it takes the next who waits.
}

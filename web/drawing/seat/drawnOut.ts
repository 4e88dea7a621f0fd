/** A moment between two questions whether all is drawn, ms. */
const ASKS_MS = 4;

/** Waits until what was asked for is drawn, as the browser goes on with everything else: to be told to finish, it only nods. */
export async function drawnOut(gl: WebGL2RenderingContext): Promise<void> {
  const sync = gl.fenceSync(gl.SYNC_GPU_COMMANDS_COMPLETE, 0);
  gl.flush();
  do await new Promise((resolve) => setTimeout(resolve, ASKS_MS));
  while (sync && !gl.isContextLost() && gl.getSyncParameter(sync, gl.SYNC_STATUS) !== gl.SIGNALED);
  gl.deleteSync(sync);
}

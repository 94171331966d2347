/** Whether this page runs in a browser yet, rather than being written by the server or read as written. */
export const page = $state({ hydrated: false });

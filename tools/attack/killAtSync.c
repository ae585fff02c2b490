/* Ends the process at the n-th time it asks for something to be put on the disk, before that is done, as a power cut would.
   KILL_AT_SYNC=n; SYNC_COUNT=file is given how many there were when the process ends by itself. */
#define _GNU_SOURCE
#include <dlfcn.h>
#include <signal.h>
#include <stdatomic.h>
#include <stdio.h>
#include <stdlib.h>
#include <unistd.h>

static atomic_int count;

static void look(void) {
  const char *at = getenv("KILL_AT_SYNC");
  int now = atomic_fetch_add(&count, 1) + 1;
  if (at && now == atoi(at)) kill(getpid(), SIGKILL);
}

int fsync(int fd) {
  look();
  return ((int (*)(int))dlsym(RTLD_NEXT, "fsync"))(fd);
}

int fdatasync(int fd) {
  look();
  return ((int (*)(int))dlsym(RTLD_NEXT, "fdatasync"))(fd);
}

__attribute__((destructor)) static void tell(void) {
  const char *file = getenv("SYNC_COUNT");
  FILE *out = file ? fopen(file, "w") : NULL;
  if (!out) return;
  fprintf(out, "%d", atomic_load(&count));
  fclose(out);
}

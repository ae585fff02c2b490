/* Makes the disk and the clock of one process misbehave while it runs, as a file says: FAULTS names it. It holds four numbers of eight
   bytes each: how long a word to the disk takes longer, ms; the error of every write to a file in the folder FAULTS_IN, or 0; the error
   of every word to the disk, or 0; how far the time of day is ahead, ms. */
#define _GNU_SOURCE
#include <dlfcn.h>
#include <errno.h>
#include <fcntl.h>
#include <limits.h>
#include <stdint.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <sys/mman.h>
#include <sys/stat.h>
#include <sys/time.h>
#include <sys/types.h>
#include <time.h>
#include <unistd.h>

struct faults {
  int64_t sync_delay_ms, write_error, sync_error, clock_ahead_ms;
};

static volatile struct faults *faults;
static const char *folder;

__attribute__((constructor)) static void begin(void) {
  const char *file = getenv("FAULTS");
  folder = getenv("FAULTS_IN");
  int fd = file ? open(file, O_RDONLY) : -1;
  if (fd < 0) return;
  void *at = mmap(NULL, sizeof(struct faults), PROT_READ, MAP_SHARED, fd, 0);
  if (at != MAP_FAILED) faults = at;
  close(fd);
}

static int is_ours(int fd) {
  char link[64], path[PATH_MAX];
  if (!folder) return 0;
  snprintf(link, sizeof link, "/proc/self/fd/%d", fd);
  ssize_t n = readlink(link, path, sizeof path - 1);
  if (n <= 0) return 0;
  path[n] = 0;
  /* What the windows' memory is shared through is no disk. */
  if (n > 4 && strcmp(path + n - 4, "-shm") == 0) return 0;
  return strncmp(path, folder, strlen(folder)) == 0;
}

static int fails(int fd) {
  if (!faults || !faults->write_error || !is_ours(fd)) return 0;
  errno = (int)faults->write_error;
  return 1;
}

static int sync_fails(int fd) {
  if (!faults || !is_ours(fd)) return 0;
  int64_t ms = faults->sync_delay_ms;
  if (ms > 0) {
    struct timespec wait = {ms / 1000, (ms % 1000) * 1000000};
    nanosleep(&wait, NULL);
  }
  if (!faults->sync_error) return 0;
  errno = (int)faults->sync_error;
  return 1;
}

#define REAL(name) ((__typeof__(&name))dlsym(RTLD_NEXT, #name))

ssize_t write(int fd, const void *what, size_t n) { return fails(fd) ? -1 : REAL(write)(fd, what, n); }
ssize_t pwrite(int fd, const void *what, size_t n, off_t at) { return fails(fd) ? -1 : REAL(pwrite)(fd, what, n, at); }
ssize_t pwrite64(int fd, const void *what, size_t n, off64_t at) { return fails(fd) ? -1 : REAL(pwrite64)(fd, what, n, at); }
int ftruncate(int fd, off_t n) { return fails(fd) ? -1 : REAL(ftruncate)(fd, n); }
int ftruncate64(int fd, off64_t n) { return fails(fd) ? -1 : REAL(ftruncate64)(fd, n); }
int fsync(int fd) { return sync_fails(fd) ? -1 : REAL(fsync)(fd); }
int fdatasync(int fd) { return sync_fails(fd) ? -1 : REAL(fdatasync)(fd); }

int clock_gettime(clockid_t id, struct timespec *now) {
  int said = REAL(clock_gettime)(id, now);
  if (said == 0 && id == CLOCK_REALTIME && faults) {
    int64_t ms = faults->clock_ahead_ms;
    int64_t ns = now->tv_nsec + (ms % 1000) * 1000000;
    now->tv_sec += ms / 1000 + (ns >= 1000000000) - (ns < 0);
    now->tv_nsec = ns + (ns < 0) * 1000000000 - (ns >= 1000000000) * 1000000000;
  }
  return said;
}

int gettimeofday(struct timeval *restrict now, void *restrict zone) {
  int said = REAL(gettimeofday)(now, zone);
  if (said == 0 && faults) {
    int64_t ms = faults->clock_ahead_ms;
    int64_t us = now->tv_usec + (ms % 1000) * 1000;
    now->tv_sec += ms / 1000 + (us >= 1000000) - (us < 0);
    now->tv_usec = us + (us < 0) * 1000000 - (us >= 1000000) * 1000000;
  }
  return said;
}

/*
 * Loaded before the C library, it notes every write, cut and sync of the files in one folder, in their order, so that the
 * states a loss of power could leave can be made from the notes.
 * A note: kind (W write, T cut, S sync, D delete), length of path, offset or size, length of data, path, data; native byte order.
 */
#define _GNU_SOURCE
#include <dlfcn.h>
#include <fcntl.h>
#include <pthread.h>
#include <stdint.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <sys/types.h>
#include <unistd.h>

static pthread_mutex_t lock = PTHREAD_MUTEX_INITIALIZER;
static int notes = -1;
static const char *folder;

static ssize_t (*real_write)(int, const void *, size_t);

static void *next(const char *name) { return dlsym(RTLD_NEXT, name); }

__attribute__((constructor)) static void start(void) {
  const char *file = getenv("RECORD_TO");
  folder = getenv("RECORD_FOLDER");
  real_write = next("write");
  if (file && folder) notes = open(file, O_WRONLY | O_CREAT | O_APPEND | O_CLOEXEC, 0600);
}

static void note_path(char kind, const char *path, int64_t at, const void *data, uint32_t length) {
  struct __attribute__((packed)) {
    char kind;
    uint16_t path;
    int64_t at;
    uint32_t length;
  } head = {kind, (uint16_t)strlen(path), at, length};
  real_write(notes, &head, sizeof head);
  real_write(notes, path, head.path);
  if (length) real_write(notes, data, length);
}

/* Path of an open file where it is one of the folder; 0 where it is not. */
static int path_of(int fd, char *path, size_t size) {
  char link[40];
  if (notes < 0) return 0;
  snprintf(link, sizeof link, "/proc/self/fd/%d", fd);
  ssize_t length = readlink(link, path, size - 1);
  if (length <= 0) return 0;
  path[length] = 0;
  return strncmp(path, folder, strlen(folder)) == 0;
}

/* The act and its note are one, so that the notes stand in the order of the acts. */
#define NOTED(type, act, kind, at, data, length)                          \
  char path[4096];                                                        \
  if (!path_of(fd, path, sizeof path)) return act;                        \
  pthread_mutex_lock(&lock);                                              \
  int64_t where = at;                                                     \
  type done = act;                                                        \
  if (done >= 0) note_path(kind, path, where, data, (uint32_t)(length));  \
  pthread_mutex_unlock(&lock);                                            \
  return done

ssize_t write(int fd, const void *data, size_t size) {
  if (!real_write) real_write = next("write");
  NOTED(ssize_t, real_write(fd, data, size), 'W', lseek(fd, 0, SEEK_CUR), data, done);
}
ssize_t pwrite(int fd, const void *data, size_t size, off_t at) {
  ssize_t (*real)(int, const void *, size_t, off_t) = next("pwrite");
  NOTED(ssize_t, real(fd, data, size, at), 'W', at, data, done);
}
ssize_t pwrite64(int fd, const void *data, size_t size, off64_t at) {
  ssize_t (*real)(int, const void *, size_t, off64_t) = next("pwrite64");
  NOTED(ssize_t, real(fd, data, size, at), 'W', at, data, done);
}
int ftruncate(int fd, off_t size) {
  int (*real)(int, off_t) = next("ftruncate");
  NOTED(int, real(fd, size), 'T', size, 0, 0);
}
int ftruncate64(int fd, off64_t size) {
  int (*real)(int, off64_t) = next("ftruncate64");
  NOTED(int, real(fd, size), 'T', size, 0, 0);
}
int fsync(int fd) {
  int (*real)(int) = next("fsync");
  NOTED(int, real(fd), 'S', 0, 0, 0);
}
int fdatasync(int fd) {
  int (*real)(int) = next("fdatasync");
  NOTED(int, real(fd), 'S', 0, 0, 0);
}
int unlink(const char *path) {
  int (*real)(const char *) = next("unlink");
  if (notes < 0 || strncmp(path, folder, strlen(folder)) != 0) return real(path);
  pthread_mutex_lock(&lock);
  int done = real(path);
  if (done == 0) note_path('D', path, 0, 0, 0);
  pthread_mutex_unlock(&lock);
  return done;
}

package fernwort.app.store.disk;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/** Keeps the newest of files that carry their time in their name. */
public final class Keeping {

  private Keeping() {}

  /** Deletes all files of a folder whose names are of a pattern, but the newest few. */
  public static void newest(Path folder, String pattern, int most) throws IOException {
    try (Stream<Path> files = Files.list(folder)) {
      List<Path> old =
          files
              .filter(f -> f.getFileName().toString().matches(pattern))
              .sorted(Comparator.comparing((Path f) -> f.getFileName().toString()).reversed())
              .skip(most)
              .toList();
      for (Path file : old) {
        Files.deleteIfExists(file);
      }
    }
  }
}

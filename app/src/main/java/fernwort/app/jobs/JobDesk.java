package fernwort.app.jobs;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import fernwort.app.rigs.OpenRig;
import org.springframework.stereotype.Component;

/** Hands out the book of jobs of each rig. */
@Component
class JobDesk {

  private final Cache<String, JobBook> books = Caffeine.newBuilder().maximumSize(10).build();

  /** Returns the jobs of a rig, found once for each version of it. */
  JobBook book(OpenRig rig) {
    return books.get(rig.id() + "@" + rig.version(), key -> JobBook.of(rig));
  }
}

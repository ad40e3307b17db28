package fernwort.core.hazard;

import static org.assertj.core.api.Assertions.assertThat;

import fernwort.core.OnRecord;
import fernwort.core.jobs.goal.Job;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** What every warning and every sort of job is for stands at its constant; here it is read. */
class WarningCodesTest {

  @Test
  void whatEachWarningIsForIsOnRecord() {
    List<String> told = new ArrayList<>();
    for (Warning.Code code : Warning.Code.values()) {
      told.add(code + ": " + listed(Warning.Is.values(), code::is));
    }
    OnRecord.assertAsRead("words/warning-codes", told);
  }

  @Test
  void whatEachSortOfJobIsForIsOnRecord() {
    List<String> told = new ArrayList<>();
    for (Job.Kind kind : Job.Kind.values()) {
      told.add("%s (%s): %s".formatted(kind, kind.group(), listed(Job.Is.values(), kind::is)));
    }
    OnRecord.assertAsRead("words/job-kinds", told);
  }

  @Test
  void whateverIsToldOfAWarningIsToldOfSome() {
    for (Warning.Is is : Warning.Is.values()) {
      assertThat(Warning.Code.values()).anyMatch(code -> code.is(is)).anyMatch(c -> !c.is(is));
    }
    for (Job.Is is : Job.Is.values()) {
      assertThat(Job.Kind.values()).anyMatch(kind -> kind.is(is)).anyMatch(k -> !k.is(is));
    }
  }

  private static <T> String listed(T[] all, Predicate<T> is) {
    return Arrays.stream(all).filter(is).map(Object::toString).collect(Collectors.joining(", "));
  }
}

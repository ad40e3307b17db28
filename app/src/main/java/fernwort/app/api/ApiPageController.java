package fernwort.app.api;

import io.swagger.v3.oas.annotations.Operation;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A page to read the interface for programs by, made from the same annotations as its OpenAPI. */
@Controller
class ApiPageController {

  /** One call. */
  record Call(String verb, String path, String summary, List<String> parameters) {}

  @GetMapping("/api")
  String page(Model model) {
    model.addAttribute("calls", calls());
    return "api";
  }

  private static List<Call> calls() {
    return Arrays.stream(ApiController.class.getDeclaredMethods())
        .filter(m -> m.isAnnotationPresent(Operation.class))
        .map(m -> {
          RequestMapping mapping =
              AnnotatedElementUtils.findMergedAnnotation(m, RequestMapping.class);
          List<String> parameters =
              Arrays.stream(m.getParameters())
                  .filter(p -> p.isAnnotationPresent(RequestParam.class))
                  .map(p -> "?" + p.getName() + "=")
                  .toList();
          return mapping == null
              ? new Call("", "", "", List.of())
              : new Call(
                  mapping.method()[0].name(),
                  "/api/v1" + mapping.path()[0],
                  m.getAnnotation(Operation.class).summary(),
                  parameters);
        })
        .sorted(Comparator.comparing(Call::path).thenComparing(Call::verb))
        .toList();
  }
}

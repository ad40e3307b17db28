package fernwort.app.api;

import io.swagger.v3.oas.annotations.Operation;
import java.lang.reflect.AnnotatedElement;
import java.lang.reflect.Method;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** A page to read the interface for programs by, made from the same annotations as its OpenAPI. */
@Controller
class ApiPageController {

  private final RequestMappingHandlerMapping mappings;

  ApiPageController(
      @Qualifier("requestMappingHandlerMapping") RequestMappingHandlerMapping mappings) {
    this.mappings = mappings;
  }

  /** One call. */
  record Call(String verb, String path, String summary, List<String> parameters) {}

  @GetMapping("/api")
  String page(Model model) {
    model.addAttribute("calls", calls());
    return "api";
  }

  /** The description for programs, made from the annotations by a test that holds it true. */
  @GetMapping(value = "/api/v1/openapi", produces = MediaType.APPLICATION_JSON_VALUE)
  @ResponseBody
  Resource openApi() {
    return new ClassPathResource("openapi.json");
  }

  private List<Call> calls() {
    return mappings.getHandlerMethods().values().stream()
        .map(HandlerMethod::getMethod)
        .filter(m -> m.isAnnotationPresent(Operation.class))
        .flatMap(m -> call(m).stream())
        .sorted(Comparator.comparing(Call::path).thenComparing(Call::verb))
        .toList();
  }

  private static Optional<Call> call(Method method) {
    return mapping(method)
        .map(m ->
            new Call(
                m.method()[0].name(),
                mapping(method.getDeclaringClass()).map(b -> b.path()[0]).orElse("")
                    + (m.path().length == 0 ? "" : m.path()[0]),
                method.getAnnotation(Operation.class).summary(),
                Arrays.stream(method.getParameters())
                    .filter(p -> p.isAnnotationPresent(RequestParam.class))
                    .map(p -> "?" + p.getName() + "=")
                    .toList()));
  }

  private static Optional<RequestMapping> mapping(AnnotatedElement element) {
    return Optional.ofNullable(
        AnnotatedElementUtils.findMergedAnnotation(element, RequestMapping.class));
  }
}

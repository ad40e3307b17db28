package fernwort.app.api;

import io.swagger.v3.oas.annotations.Operation;
import java.lang.reflect.Method;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
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

  /** The description for programs, made from the annotations by a test that holds it true. */
  @GetMapping(value = "/api/v1/openapi", produces = MediaType.APPLICATION_JSON_VALUE)
  @ResponseBody
  Resource openApi() {
    return new ClassPathResource("openapi.json");
  }

  private static List<Call> calls() {
    return Stream.of(
            ApiController.class,
            JobsApiController.class,
            WhatIfController.class,
            SizingApiController.class)
        .flatMap(c -> Arrays.stream(c.getDeclaredMethods()))
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
                  base(m) + (mapping.path().length == 0 ? "" : mapping.path()[0]),
                  m.getAnnotation(Operation.class).summary(),
                  parameters);
        })
        .sorted(Comparator.comparing(Call::path).thenComparing(Call::verb))
        .toList();
  }

  private static String base(Method call) {
    RequestMapping mapping =
        AnnotatedElementUtils.findMergedAnnotation(call.getDeclaringClass(), RequestMapping.class);
    return mapping == null ? "" : mapping.path()[0];
  }
}

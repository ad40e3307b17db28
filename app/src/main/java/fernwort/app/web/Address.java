package fernwort.app.web;

import java.util.List;
import java.util.Map;
import org.springframework.web.util.UriComponentsBuilder;

/** Addresses of pages that carry what was done or seen so far. */
public final class Address {

  private Address() {}

  /**
   * Returns an address with parameters, each given as often as it has values.
   *
   * @param path with {} around what is filled in
   * @param parameters their values by their names
   * @param ids what is filled in, in its order
   */
  public static String of(String path, Map<String, List<String>> parameters, Object... ids) {
    UriComponentsBuilder address = UriComponentsBuilder.fromPath(path);
    parameters.forEach(address::queryParam);
    return address.encode().buildAndExpand(ids).toUriString();
  }
}

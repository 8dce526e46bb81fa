package illuminar.server.web;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** Every screen's address leads to the interface. */
@Controller
class Pages {
  @GetMapping({"/sign-in", "/shoots", "/shoots/**", "/views/**", "/account", "/keys", "/guide"})
  String screen() {
    return "forward:/index.html";
  }
}

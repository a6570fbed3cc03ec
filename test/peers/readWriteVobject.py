"""Reads vCards with Debian's python3-vobject, or writes the given values with it; JSON on stdin and stdout."""
import json
import sys

import vobject

NAMES = ["family", "given", "additional", "prefix", "suffix"]
PLACES = ["box", "extended", "street", "city", "region", "code", "country"]


def text(value):
    return " ".join(value) if isinstance(value, list) else value


def read(source):
    cards = []
    for card in vobject.readComponents(source):
        several = lambda name: [line.value for line in card.contents.get(name, [])]
        addresses = [{part: text(getattr(one, part)) for part in PLACES} for one in several("adr")]
        cards.append({
            "fn": card.fn.value,
            "n": {part: text(getattr(card.n.value, part)) for part in NAMES},
            "tel": several("tel"), "email": several("email"), "note": several("note"),
            "org": several("org"), "adr": addresses,
            "bday": card.bday.value if hasattr(card, "bday") else None,
        })
    return cards


def write(values):
    pieces = []
    for value in values:
        card = vobject.vCard()
        card.add("fn").value = value["fn"]
        card.add("n").value = vobject.vcard.Name(**value["n"])
        for number in value["tel"]:
            line = card.add("tel")
            line.value = number
            line.type_param = ["CELL", "WORK"]
        for address in value["email"]:
            card.add("email").value = address
        for note in value["note"]:
            card.add("note").value = note
        for org in value["org"]:
            card.add("org").value = org
        for address in value["adr"]:
            card.add("adr").value = vobject.vcard.Address(**address)
        pieces.append(card.serialize())
    return "".join(pieces)


request = json.load(sys.stdin)
json.dump(read(request["text"]) if request["mode"] == "read" else write(request["values"]), sys.stdout)

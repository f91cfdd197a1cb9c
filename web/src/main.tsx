document.title="Fulcrant";
